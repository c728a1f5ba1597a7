import { nth } from '#core/validation'
import { formatHours, readOpening, parseHours, parseWallClock, weekOf, type Opening } from '#core/ride'
import { weekInRuns } from '#wording'
import { describe, expect, it } from 'vitest'

const here = { lat: 57, lon: -33, country: null }
/** A Monday. */
const monday = parseWallClock('2026-06-15T11:20')
const week = (text: string) => weekInRuns(weekOf(readOpening(text, here) as Opening, monday))

describe('hours put together day by day', () => {
  const shop = [
    {
      days: ['Mo', 'Tu', 'We', 'Th', 'Fr'] as const,
      spans: [
        { from: '09:00', to: '12:00' },
        { from: '14:00', to: '17:30' },
      ],
    },
    { days: ['Sa'] as const, spans: [{ from: '09:00', to: '13:00' }] },
  ]
  it('are written in the syntax', () => {
    expect(formatHours(shop)).toBe('Mo-Fr 09:00-12:00,14:00-17:30; Sa 09:00-13:00')
    expect(formatHours([{ days: ['Mo', 'We', 'Th', 'Su'], spans: [{ from: '22:00', to: '00:00' }] }])).toBe(
      'Mo,We,Th,Su 22:00-24:00',
    )
  })
  it('leave out what was not filled in', () => {
    expect(formatHours([{ days: [], spans: [{ from: '09:00', to: '10:00' }] }])).toBe('')
    expect(formatHours([{ days: ['Mo'], spans: [{ from: '', to: '10:00' }] }])).toBe('')
  })
  it('make a range of three days in a row or more, and name two', () => {
    const written = (...days: Parameters<typeof formatHours>[0][number]['days']) =>
      formatHours([{ days, spans: [{ from: '09:00', to: '10:00' }] }]).replace(' 09:00-10:00', '')
    expect(written('Mo')).toBe('Mo')
    expect(written('Mo', 'Tu')).toBe('Mo,Tu')
    expect(written('We', 'Mo', 'Tu')).toBe('Mo-We')
    expect(written('Mo', 'Tu', 'We', 'Fr', 'Sa')).toBe('Mo-We,Fr,Sa')
    expect(written('Mo', 'Su')).toBe('Mo,Su')
    expect(written('Fr', 'Sa', 'Su')).toBe('Fr-Su')
  })
  it('leave out an opening that is half filled in, and keep the whole one beside it', () => {
    const spans = [
      { from: '09:00', to: '' },
      { from: '14:00', to: '18:00' },
    ]
    expect(formatHours([{ days: ['Mo'], spans }])).toBe('Mo 14:00-18:00')
    expect(formatHours([{ days: ['Mo'], spans: [] }])).toBe('')
  })
  it('come back from the reader as they were meant', () => {
    expect(week(formatHours(shop))).toEqual([
      { days: 'Mon–Fri', words: '09:00–12:00, 14:00–17:30' },
      { days: 'Sat', words: '09:00–13:00' },
      { days: 'Sun', words: 'shut' },
    ])
  })
})

describe('a week of hours, told in runs', () => {
  const told = (text: string, from: string) =>
    weekInRuns(weekOf(readOpening(text, here) as Opening, parseWallClock(from)))
  it('begins on Monday, whatever day one comes by', () => {
    // A Friday and a Monday.
    for (const from of ['2026-06-12T14:42', '2026-06-15T11:20'])
      expect(told('Tu-Fr 10:00-18:00; Sa 10:00-14:00', from)).toEqual([
        { days: 'Tue–Fri', words: '10:00–18:00' },
        { days: 'Sat', words: '10:00–14:00' },
        { days: 'Sun–Mon', words: 'shut' },
      ])
  })
  it('is one run where every day is alike', () => {
    expect(told('Mo-Su 08:00-20:00', '2026-06-12T14:42')).toEqual([{ days: 'Mon–Sun', words: '08:00–20:00' }])
  })
})

describe('hours that are there, laid open day by day', () => {
  it.each([
    'Mo-Fr 09:00-12:00,14:00-17:30; Sa 09:00-13:00',
    'Mo,We 22:00-24:00',
    'Mo-Su 09:00-18:00',
    'Sa,Su 10:00-16:00; Mo-Fr 08:00-12:00',
  ])('“%s” says the same when it is written again', (hours) => {
    const rows = parseHours(hours)
    expect(rows).toBeDefined()
    expect(week(formatHours(rows ?? []))).toEqual(week(hours))
  })
  it('holds what is said last of a day, and goes round the end of the week', () => {
    expect(parseHours('Mo-Su 09:00-18:00; We 09:00-12:00')?.map(({ days }) => days)).toEqual([
      ['Mo', 'Tu', 'Th', 'Fr', 'Sa', 'Su'],
      ['We'],
    ])
    expect(parseHours('Sa-Mo 09:00-18:00')?.[0]?.days).toEqual(['Mo', 'Sa', 'Su'])
    expect(parseHours('09:00-18:00')?.[0]?.days).toHaveLength(7)
  })
  it('has its days and its openings as they stand', () => {
    expect(parseHours('Mo-We,Fr 09:00-12:00, 14:00-18:00; Sa 20:00-24:00')).toEqual([
      {
        days: ['Mo', 'Tu', 'We', 'Fr'],
        spans: [
          { from: '09:00', to: '12:00' },
          { from: '14:00', to: '18:00' },
        ],
      },
      { days: ['Sa'], spans: [{ from: '20:00', to: '00:00' }] },
    ])
    expect(parseHours(' Mo, Tu 09:00-12:00 ')?.[0]?.days).toEqual(['Mo', 'Tu'])
    expect(parseHours('Mo 09:00-12:00; Mo 10:00-11:00')).toEqual([
      { days: ['Mo'], spans: [{ from: '10:00', to: '11:00' }] },
    ])
    expect(parseHours('Fr-Mo 09:00-12:00')?.[0]?.days).toEqual(['Mo', 'Fr', 'Sa', 'Su'])
  })
  it.each([
    'Mo 09:00-10:00,11:00-12:00,13:00-14:00',
    'x Mo 09:00-10:00',
    'Mo 09:00-10:00 x',
    'Mo 9:00-10:00',
    'Mo-Fr',
    'Mo 09:00-10:00; x',
  ])('“%s” is none of its own', (hours) => expect(parseHours(hours)).toBeUndefined())
  it.each(['24/7', 'Mo-Fr 09:00-18:00; PH off', 'Apr-Sep: Mo 09:00-12:00', 'sunrise-sunset', '', 'Mo 09:00+'])(
    '“%s” is more than the form can show',
    (hours) => expect(parseHours(hours)).toBeUndefined(),
  )
})

describe('a week as it is understood', () => {
  it('begins on the day one asks about, and goes to midnight', () => {
    expect(week('24/7')).toEqual([{ days: 'Mon–Sun', words: '00:00–24:00' }])
    expect(nth(week('Mo-Su 22:00-02:00'), 0).words).toBe('00:00–02:00, 22:00–24:00')
    expect(week('off')).toEqual([{ days: 'Mon–Sun', words: 'shut' }])
  })
  it('has seven days from midnight of the first one, read off by quarters of an hour', () => {
    const days = weekOf(readOpening('Mo 09:10-12:00; Tu 00:00-24:00', here) as Opening, monday)
    const midnight = parseWallClock('2026-06-15T00:00')
    expect(days.map(({ day }) => (day - midnight) / 1440)).toEqual([0, 1, 2, 3, 4, 5, 6])
    expect(days[0]?.spans).toEqual([{ from: midnight + 9.25 * 60, to: midnight + 12 * 60, sure: true }])
    expect(days[1]?.spans).toEqual([{ from: midnight + 1440, to: midnight + 2880, sure: true }])
    expect(days[2]?.spans).toEqual([])
  })
  it('says where it is not sure', () => {
    expect(nth(week('Mo 09:00-12:00 "by appointment"'), 0).words).toBe('09:00–12:00 ?')
  })
})
