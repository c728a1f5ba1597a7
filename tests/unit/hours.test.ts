import { describe, expect, it } from 'vitest'
import {
  hoursInSyntax,
  readOpening,
  rowsOfHours,
  readWallClock,
  weekInRuns,
  weekOf,
  type Opening,
} from '../../core/ride'

const here = { lat: 57, lon: -33, country: null }
/** A Monday. */
const monday = readWallClock('2026-06-15T11:20')
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
    expect(hoursInSyntax(shop)).toBe('Mo-Fr 09:00-12:00,14:00-17:30; Sa 09:00-13:00')
    expect(hoursInSyntax([{ days: ['Mo', 'We', 'Th', 'Su'], spans: [{ from: '22:00', to: '00:00' }] }])).toBe(
      'Mo,We,Th,Su 22:00-24:00',
    )
  })
  it('leave out what was not filled in', () => {
    expect(hoursInSyntax([{ days: [], spans: [{ from: '09:00', to: '10:00' }] }])).toBe('')
    expect(hoursInSyntax([{ days: ['Mo'], spans: [{ from: '', to: '10:00' }] }])).toBe('')
  })
  it('come back from the reader as they were meant', () => {
    expect(week(hoursInSyntax(shop))).toEqual([
      { days: 'Mon–Fri', words: '09:00–12:00, 14:00–17:30' },
      { days: 'Sat', words: '09:00–13:00' },
      { days: 'Sun', words: 'shut' },
    ])
  })
})

describe('hours that are there, laid open day by day', () => {
  it.each([
    'Mo-Fr 09:00-12:00,14:00-17:30; Sa 09:00-13:00',
    'Mo,We 22:00-24:00',
    'Mo-Su 09:00-18:00',
    'Sa,Su 10:00-16:00; Mo-Fr 08:00-12:00',
  ])('“%s” says the same when it is written again', (hours) => {
    const rows = rowsOfHours(hours)
    expect(rows).toBeDefined()
    expect(week(hoursInSyntax(rows ?? []))).toEqual(week(hours))
  })
  it('holds what is said last of a day, and goes round the end of the week', () => {
    expect(rowsOfHours('Mo-Su 09:00-18:00; We 09:00-12:00')?.map(({ days }) => days)).toEqual([
      ['Mo', 'Tu', 'Th', 'Fr', 'Sa', 'Su'],
      ['We'],
    ])
    expect(rowsOfHours('Sa-Mo 09:00-18:00')?.[0]?.days).toEqual(['Mo', 'Sa', 'Su'])
    expect(rowsOfHours('09:00-18:00')?.[0]?.days).toHaveLength(7)
  })
  it.each(['24/7', 'Mo-Fr 09:00-18:00; PH off', 'Apr-Sep: Mo 09:00-12:00', 'sunrise-sunset', '', 'Mo 09:00+'])(
    '“%s” is more than the form can show',
    (hours) => expect(rowsOfHours(hours)).toBeUndefined(),
  )
})

describe('a week as it is understood', () => {
  it('begins on the day one asks about, and goes to midnight', () => {
    expect(week('24/7')).toEqual([{ days: 'Mon–Sun', words: '00:00–24:00' }])
    expect(week('Mo-Su 22:00-02:00')[0]!.words).toBe('00:00–02:00, 22:00–24:00')
    expect(week('off')).toEqual([{ days: 'Mon–Sun', words: 'shut' }])
  })
  it('says where it is not sure', () => {
    expect(week('Mo 09:00-12:00 "by appointment"')[0]!.words).toBe('09:00–12:00 ?')
  })
})
