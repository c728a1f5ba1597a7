import { holidayCountries, readOpening, parseWallClock, formatWallClock, type Opening } from '#core/ride'
import OpeningRules from 'opening_hours'
import { describe, expect, it, vi } from 'vitest'

const nowhere = { lat: 52, lon: 0, country: null }
function opening(text: string, country: string | null = null): Opening {
  const read = readOpening(text, { ...nowhere, country })
  if ('error' in read) throw new Error(read.error)
  return read
}
const stateAt = (text: string, at: string) => opening(text).at(parseWallClock(at))

/**
 * Examples of the published specification, Key:opening_hours and
 * Key:opening_hours/specification of the OpenStreetMap wiki, with what each is
 * said there to mean. 2026-06-08 is a Monday.
 */
describe('opening hours of the specification', () => {
  it.each([
    // 24/7: always.
    ['24/7', '2026-06-10T03:00', 'open'],
    // Mo-Fr 08:30-20:00: Mondays to Fridays, half past eight to eight.
    ['Mo-Fr 08:30-20:00', '2026-06-08T08:29', 'closed'],
    ['Mo-Fr 08:30-20:00', '2026-06-08T08:30', 'open'],
    ['Mo-Fr 08:30-20:00', '2026-06-08T20:00', 'closed'],
    ['Mo-Fr 08:30-20:00', '2026-06-13T12:00', 'closed'],
    // Mo 10:00-12:00,12:30-15:00; Tu-Fr 08:00-12:00,12:30-15:00; Sa 08:00-12:00
    ['Mo 10:00-12:00,12:30-15:00; Tu-Fr 08:00-12:00,12:30-15:00; Sa 08:00-12:00', '2026-06-08T09:00', 'closed'],
    ['Mo 10:00-12:00,12:30-15:00; Tu-Fr 08:00-12:00,12:30-15:00; Sa 08:00-12:00', '2026-06-09T09:00', 'open'],
    ['Mo 10:00-12:00,12:30-15:00; Tu-Fr 08:00-12:00,12:30-15:00; Sa 08:00-12:00', '2026-06-09T12:15', 'closed'],
    // Mo-Su 08:00-18:00; Apr 10-15 off; Jun 08:00-14:00; Aug off; Dec 25 off
    ['Mo-Su 08:00-18:00; Apr 10-15 off; Jun 08:00-14:00; Aug off; Dec 25 off', '2026-04-12T12:00', 'closed'],
    ['Mo-Su 08:00-18:00; Apr 10-15 off; Jun 08:00-14:00; Aug off; Dec 25 off', '2026-06-12T15:00', 'closed'],
    ['Mo-Su 08:00-18:00; Apr 10-15 off; Jun 08:00-14:00; Aug off; Dec 25 off', '2026-07-12T15:00', 'open'],
    ['Mo-Su 08:00-18:00; Apr 10-15 off; Jun 08:00-14:00; Aug off; Dec 25 off', '2026-12-25T12:00', 'closed'],
    // Sa-Su 00:00-24:00: the whole weekend.
    ['Sa-Su 00:00-24:00', '2026-06-14T23:59', 'open'],
    ['Sa-Su 00:00-24:00', '2026-06-15T00:00', 'closed'],
    // Mo[-1] and Sa[1]: the last Monday, the first Saturday of a month.
    ['Sa[1] 10:00-12:00', '2026-06-06T11:00', 'open'],
    ['Sa[1] 10:00-12:00', '2026-06-13T11:00', 'closed'],
    ['Mo[-1] 10:00-12:00', '2026-06-29T11:00', 'open'],
    // Su-Tu 11:00-01:00: past midnight belongs to the evening before.
    ['Su-Tu 11:00-01:00', '2026-06-10T00:30', 'open'],
    ['Su-Tu 11:00-01:00', '2026-06-11T00:30', 'closed'],
    // week 1-53/2: every other week; 2026-06-12 is in week 24, 2026-06-19 in week 25.
    ['week 1-53/2 Fr 09:00-12:00', '2026-06-12T10:00', 'closed'],
    ['week 1-53/2 Fr 09:00-12:00', '2026-06-19T10:00', 'open'],
    // "by appointment": a comment alone says nothing for sure.
    ['"by appointment"', '2026-06-09T10:00', 'uncertain'],
    // Fallback groups: on working days if somebody is there, as the comment says.
    ['Mo-Fr 08:00-12:00 || "call us"', '2026-06-09T10:00', 'open'],
    ['Mo-Fr 08:00-12:00 || "call us"', '2026-06-09T14:00', 'uncertain'],
    ['off', '2026-06-09T10:00', 'closed'],
  ])('%s at %s: %s', (text, at, state) => expect(stateAt(text, at)).toBe(state))

  it('sunrise-sunset follows the sun of the place', () => {
    const read = opening('sunrise-sunset')
    expect(read.at(parseWallClock('2026-06-21T12:00'))).toBe('open')
    expect(read.at(parseWallClock('2026-06-21T23:30'))).toBe('closed')
  })

  it('public holidays are those of the country', () => {
    // 17 May is Norway's constitution day.
    const shop = opening('Mo-Su 09:00-18:00; PH off', 'no')
    expect(shop.at(parseWallClock('2027-05-17T12:00'))).toBe('closed')
    expect(shop.at(parseWallClock('2027-05-18T12:00'))).toBe('open')
    expect(readOpening('Mo-Fr 09:00-18:00; PH off', nowhere)).toEqual({
      error: 'holidays depend on the country, which is not set',
      guesses: [],
    })
  })
  it('of a country whose holidays the library does not know are not asked for, and nothing is written to the console', () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    expect(readOpening('Mo-Fr 09:00-18:00; PH off', { ...nowhere, country: 'is' })).toMatchObject({
      error: expect.stringMatching(/public holidays of “is” are not known/),
    })
    expect(readOpening('SH 09:00-18:00', { ...nowhere, country: 'de' })).toMatchObject({
      error: expect.stringMatching(/school holidays/),
    })
    for (const text of ['Mo-Fr 09:00-18:00; PH off', '09:00-18:00', 'PH off', 'Mo[1] 10:00-12:00', 'week 1-53/2 Mo']) {
      const read = readOpening(text, { ...nowhere, country: 'no' })
      if (!('error' in read)) read.opensFrom(parseWallClock('2026-06-12T10:00'))
    }
    expect(said).not.toHaveBeenCalled()
    said.mockRestore()
  })
  // Reference: the library itself, asked for each code of ISO 3166-1 that two letters can make.
  it('are known for the very countries whose holidays the library has', () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    const letters = 'abcdefghijklmnopqrstuvwxyz'.split('')
    const known = letters
      .flatMap((a) => letters.map((b) => a + b))
      .filter((code) => {
        try {
          new OpeningRules('PH off', { lat: 0, lon: 0, address: { country_code: code, state: '' } }).getState(
            new Date(2026, 0, 1),
          )
          return true
        } catch {
          return false
        }
      })
    said.mockRestore()
    expect(known).toEqual([...holidayCountries].sort())
  })
  it('that make no sense the library finds out only later are uncertain, and never open', () => {
    const odd = opening('Jun 12 PH', 'no')
    expect(() => odd.at(parseWallClock('2026-06-12T10:00'))).not.toThrow()
    expect(odd.opensFrom(parseWallClock('2026-06-12T10:00'))).toBeUndefined()
  })
  // What people write where they do not know the syntax; which of two readings is meant nobody can tell but them.
  it.each([
    ['9 to 5 weekdays', 'Mo-Fr 09:00-17:00', 'Mo-Fr 09:00-05:00'],
    ['daily 9-5', 'Mo-Su 09:00-17:00', 'Mo-Su 09:00-05:00'],
  ])('“%s” is not guessed at, and what may be meant is offered', (text, byDay, byNight) => {
    const read = readOpening(text, nowhere)
    expect(read).toMatchObject({ error: expect.stringMatching(/morning or of the evening/), guesses: [byDay, byNight] })
    for (const guess of [byDay, byNight]) expect(readOpening(guess, nowhere)).not.toHaveProperty('error')
  })
  it.each(['Mo-Fr 9-17', '9am-5pm', 'Mo-Fr 22:00-02:00'])('“%s” can only mean one thing', (text) => {
    expect(readOpening(text, nowhere)).not.toHaveProperty('error')
  })
})

describe('when it opens next', () => {
  const next = (text: string, at: string) => {
    const opens = opening(text).opensFrom(parseWallClock(at))
    return opens === undefined ? undefined : formatWallClock(opens)
  }
  it('is at once where it is open', () => expect(next('24/7', '2026-06-09T10:00')).toBe('2026-06-09T10:00'))
  it('may be days away', () => {
    expect(next('Tu-Fr 10:00-18:00; Sa 10:00-14:00', '2026-06-06T14:00')).toBe('2026-06-09T10:00')
  })
  it('passes over what is uncertain', () => {
    expect(next('Mo 09:00-12:00; We "by appointment"', '2026-06-09T10:00')).toBe('2026-06-15T09:00')
  })
  it('may be never', () => {
    expect(next('off', '2026-06-09T10:00')).toBeUndefined()
    expect(next('2020 Mo-Su 09:00-12:00', '2026-06-09T10:00')).toBeUndefined()
  })
})

describe('hours that cannot be read', () => {
  it.each(['nonsense', '', 'Mo-Fr 25:00-99:00', 'Mo-'])('“%s” is refused in words, and never throws', (text) => {
    const read = readOpening(text, nowhere)
    if (!('error' in read)) expect(read.warnings.length).toBeGreaterThan(0)
    else expect(read.error.length).toBeGreaterThan(5)
  })
  it('what was guessed at is said, and how it should be written', () => {
    const read = opening('Mo-Fr 9-18')
    expect(read.tidy).toBe('Mo-Fr 09:00-18:00')
    expect(read.warnings[0]).toMatch(/without minutes/)
  })
})
