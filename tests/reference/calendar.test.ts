import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { entryId, readCalendar, taskList, workingDays, writeCalendar, type CalendarEntry } from '#core/ready'
import { surveyRoad } from '#core/road'
import { daysAfter } from '#core/task'
import { faultLines } from '#core/trip'
import { defined } from '#core/validation'
import { calendarEntries } from '#wording'
import fc from 'fast-check'
import ical from 'node-ical'
import { afterEach, describe, expect, it } from 'vitest'

/** All that another library (`node-ical`) finds in a calendar, by what it is called. */
const readByAnother = (text: string) =>
  Object.values(ical.sync.parseICS(text)).flatMap((entry) => (entry?.type === 'VEVENT' ? [entry] : []))
/** The day of a whole-day entry, as that library gives it: midnight by this machine's clock. */
const dayOf = (date: Date) =>
  `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`

const entry = (key: string, day: string, title = key, text = ''): CalendarEntry => ({ key, day, title, text })
const zone = process.env.TZ
afterEach(() => {
  process.env.TZ = zone
})

describe('a calendar, read back by another library', () => {
  it('holds every open task of the demo with its day, its name and its advice', () => {
    const trip = demoTrip()
    const tasks = taskList(trip, catalogue, {
      survey: surveyRoad(trip.road.points),
      carried: { 'mini-pump': 1, 'tube-622': 2 },
    })
    const entries = calendarEntries(tasks, trip, catalogue)
    expect(entries.length).toBe(tasks.length)
    const read = readByAnother(writeCalendar(trip.name, 'plan', entries, '2026-05-01'))
    expect(
      read.map(({ uid, summary, description = '', start, end, datetype }) => [
        uid,
        summary,
        description,
        dayOf(start),
        dayOf(defined(end)),
        datetype,
      ]),
    ).toEqual(
      entries.map(({ key, day, title, text }) => [entryId('plan', key), title, text, day, daysAfter(day, 1), 'date']),
    )
  })
  it('says the same day everywhere, on days on which clocks change and at the end of a year', () => {
    const days = ['2026-03-29', '2026-10-25', '2026-03-08', '2026-11-01', '2026-12-31', '2027-01-01', '2028-02-29']
    const entries = days.map((day) => entry(`own ${day}`, day))
    const texts = ['UTC', 'America/Los_Angeles', 'Pacific/Auckland', 'Asia/Kathmandu', 'Pacific/Kiritimati'].map(
      (place) => {
        process.env.TZ = place
        const text = writeCalendar('x', 'plan', entries, '2026-01-01')
        expect(
          readByAnother(text).map(({ start }) => dayOf(start)),
          place,
        ).toEqual(days)
        expect(
          [
            ...readCalendar(
              text,
              'plan',
              entries.map(({ key }) => key),
            ).days.values(),
          ],
          place,
        ).toEqual(days)
        return text
      },
    )
    expect(new Set(texts).size).toBe(1)
  })
  it('keeps whatever a name or a note holds', () => {
    const said = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 120 })
      .map((text) => text.replace(/[\p{Cc}\\]/gu, ' ').trim() || 'x')
    fc.assert(
      fc.property(said, said, (title, text) => {
        const [read] = readByAnother(
          writeCalendar(title, 'plan', [entry('own a', '2026-06-01', title, text)], '2026-01-01'),
        )
        expect(read?.summary).toBe(title)
        expect(read?.description).toBe(text)
      }),
      { numRuns: 200 },
    )
  })
  it('folds its lines at 75 octets, and ends them with CR LF, as RFC 5545 § 3.1 asks', () => {
    const text = writeCalendar(
      'Ümläut',
      'plan',
      [entry('own a', '2026-06-01', 'é'.repeat(200), 'x, y; z\nnext')],
      '2026-01-01',
    )
    const lines = text.split('\r\n')
    for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true)
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
  })
})

describe('a calendar taken in again', () => {
  const keys = ['own a', 'check fox tyres', 'try tube/622 é']
  const entries = keys.map((key, i) => entry(key, `2026-06-0${i + 1}`))
  const text = writeCalendar('x', 'plan 1', entries, '2026-01-01')
  const days = (given: string) => Object.fromEntries(readCalendar(given, 'plan 1', keys).days)
  it('gives each task its day, however often, and in whatever order', () => {
    const expected = Object.fromEntries(entries.map(({ key, day }) => [key, day]))
    expect(days(text)).toEqual(expected)
    const twice = text.replace('END:VCALENDAR\r\n', '') + text.slice(text.indexOf('BEGIN:VEVENT'))
    expect(days(twice)).toEqual(expected)
  })
  it('has the day that somebody moved it to there, be it to an hour of it', () => {
    expect(days(text.replace('DTSTART;VALUE=DATE:20260602', 'DTSTART;VALUE=DATE:20260609'))['check fox tyres']).toBe(
      '2026-06-09',
    )
    const atAnHour = text.replace('DTSTART;VALUE=DATE:20260602', 'DTSTART;TZID=Pacific/Auckland:20260609T233000')
    expect(days(atAnHour)['check fox tyres']).toBe('2026-06-09')
  })
  it('are read of several calendars in one file, as RFC 5545 § 3.4 has them', () => {
    const another = writeCalendar('Other', 'plan 1', [entry('own d', '2026-05-12')], '2026-05-01')
    const both = readCalendar(text + another, 'plan 1', [...keys, 'own d'])
    expect(Object.fromEntries(both.days)).toEqual({ ...days(text), 'own d': '2026-05-12' })
  })
  it('counts what is of another plan, or of none, and takes no day of what was called off', () => {
    expect(readCalendar(text, 'plan 2', keys)).toEqual({ days: new Map(), others: 3 })
    expect(readCalendar(text, 'plan 1', ['own a']).others).toBe(2)
    const off = text.replace(/(DTSTART;VALUE=DATE:20260601)/, 'STATUS:CANCELLED\r\n$1')
    expect(days(off)['own a']).toBeUndefined()
  })
  it.each([
    ['nothing', ''],
    ['a letter', 'Dear all,\nwe meet on Friday.'],
    ['an address book', 'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:A B\r\nEND:VCARD\r\n'],
    ['half a calendar', text.slice(0, 400)],
    ['bytes', '\u0000\u0001\u0002'],
    ['six million characters', 'x'.repeat(6_000_000)],
  ])('says of %s that it is no calendar, and what would be one', (_, given) => {
    let lines: string[] | undefined
    try {
      readCalendar(given, 'plan 1', keys)
    } catch (error) {
      lines = faultLines(error)
    }
    expect(lines?.join()).toMatch(/^the calendar: .*; expected /)
  })
})

describe('public holidays', () => {
  /** Easter Sunday by the anonymous Gregorian algorithm (Nature, 20 April 1876, p. 487; in Meeus, Astronomical Algorithms, ch. 8). */
  function easter(year: number): string {
    const [a, b, c] = [year % 19, Math.floor(year / 100), year % 100]
    const [d, e] = [Math.floor(b / 4), b % 4]
    const g = Math.floor((b - Math.floor((b + 8) / 25) + 1) / 3)
    const h = (19 * a + b - d - g + 15) % 30
    const [i, k] = [Math.floor(c / 4), c % 4]
    const l = (32 + 2 * e + 2 * i - h - k) % 7
    const m = Math.floor((a + 11 * h + 22 * l) / 451)
    const n = h + l - 7 * m + 114
    return `${year}-${String(Math.floor(n / 31)).padStart(2, '0')}-${String((n % 31) + 1).padStart(2, '0')}`
  }
  it('are no working days: those of Germany as a whole, from 2024 to 2033', () => {
    // The same in every state: New Year, Labour Day, German Unity Day (Unification Treaty, art. 2), Christmas, and by Easter.
    const isWorking = workingDays('de')
    const isWeekday = workingDays(null)
    for (let year = 2024; year <= 2033; year++) {
      const sunday = easter(year)
      const moving = [-2, 1, 39, 50].map((days) => daysAfter(sunday, days))
      const fixed = ['01-01', '05-01', '10-03', '12-25', '12-26'].map((day) => `${year}-${day}`)
      const holidays = new Set([...moving, ...fixed])
      for (let i = 0; i < 365; i++) {
        const day = daysAfter(`${year}-01-01`, i)
        expect(isWorking(day), day).toBe(isWeekday(day) && !holidays.has(day))
      }
    }
  })
})
