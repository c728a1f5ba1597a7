import { nth, defined, numberAt } from '#core/validation'
import {
  dateOf,
  isWallClock,
  minutesPerDay,
  parseWallClock,
  rideSchema,
  ridingAlong,
  startsBetween,
  Timetable,
  weekdayOf,
  formatWallClock,
} from '#core/ride'
import { stretchSchema, surveyRoad, type RoadPoint } from '#core/road'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

/** A level road of 300 km due east on the equator, a point each kilometre. */
const kmOfDegree = (Math.PI * 6378.137) / 180
const level: RoadPoint[] = Array.from({ length: 301 }, (_, i) => [0, i / kmOfDegree, 10])
const survey = surveyRoad(level)
const stretch = (fromKm: number, toKm: number, surface: string) =>
  stretchSchema.parse({ id: `${fromKm}`, fromKm, toKm, surface })
const ride = (change: object = {}) =>
  rideSchema.parse({ start: '2026-06-12T10:00', dayStartsH: 8, ridingH: 6, pauseH: 0.5, ...change })
const timetable = (change: object = {}, stretches = [stretch(0, 300, 'asphalt')]) =>
  new Timetable(survey, { stretches }, ride(change))
const clock = (table: Timetable, km: number) => formatWallClock(table.clockAt(km))

describe('a ride that is on its way', () => {
  // Six hours a day at 20 km/h: 120 km, nine hours with the pauses.
  const taken = new Timetable(
    survey,
    { stretches: [stretch(0, 300, 'asphalt')] },
    ride({ start: '2026-06-14T15:00' }),
    100,
  )
  it('goes on from where it is when it is there', () => {
    expect(taken.days.map(({ fromKm, toKm }) => [Math.round(fromKm), Math.round(toKm)])).toEqual([
      [100, 220],
      [220, 300],
    ])
    expect(clock(taken, 100)).toBe('2026-06-14T15:00')
    expect(clock(taken, 140)).toBe('2026-06-14T18:00')
    expect(clock(taken, 240)).toBe('2026-06-15T09:30')
  })
  it('is at what is behind it as if it were there now', () => {
    expect(clock(taken, 20)).toBe('2026-06-14T15:00')
  })
})

describe('hours in the saddle', () => {
  it('are the length over the speed of each surface, stretches sharing a step by length', () => {
    // 100 km of asphalt at 20, 50.5 km of sand at 6, the rest gravel at 15.
    const hours = ridingAlong(survey, [stretch(0, 100, 'asphalt'), stretch(100, 150.5, 'sand')], ride())
    expect(hours[300]).toBeCloseTo(100 / 20 + 50.5 / 6 + 149.5 / 15, 3)
    expect(hours[100]).toBeCloseTo(5, 3)
  })
  it('are shared out where a stretch begins and ends within a step, and not touched where it has no length there', () => {
    const close = (stretches: ReturnType<typeof stretch>[], expected: number) =>
      expect(ridingAlong(survey, stretches, ride())[300]).toBeCloseTo(expected, 3)
    close([stretch(10.25, 10.75, 'sand')], 299.5 / 15 + 0.5 / 6)
    close([stretch(10.5, 12.25, 'mud')], 298.25 / 15 + 1.75 / 5)
    // A second one over it covers what it covers of the step.
    close([stretch(10, 11, 'sand'), stretch(10, 10.5, 'asphalt')], 299 / 15 + 0.5 / 6 + 0.5 / 20)
    const twice = surveyRoad([...level.slice(0, 11), nth(level, 10), ...level.slice(11)])
    expect(ridingAlong(twice, [stretch(5, 20, 'sand')], ride())[301]).toBeCloseTo(285 / 15 + 15 / 6, 3)
  })
  it('grow by an hour for each 700 m of climb', () => {
    const hill = surveyRoad(level.map(([lat, lon], i) => [lat, lon, i * 7]))
    const flat = numberAt(ridingAlong(survey, [], ride()), 300)
    const steep = numberAt(ridingAlong(hill, [], ride()), 300)
    expect(steep - flat).toBeCloseTo(defined(hill.climbM) / 700, 6)
    expect(hill.climbM).toBeGreaterThan(2000)
  })
  it('never run backwards', () => {
    const hours = ridingAlong(survey, [stretch(10, 20, 'mud'), stretch(15, 40, 'singletrack')], ride())
    for (let i = 1; i < hours.length; i++) expect(numberAt(hours, i)).toBeGreaterThanOrEqual(numberAt(hours, i - 1))
  })
})

/**
 * 300 km of asphalt at 20 km/h are 15 h in the saddle. Six hours a day are
 * 120 km, and with half an hour of pauses to the hour take nine by the clock:
 *   Fri 12 June 10:00 → 19:00 at km 120
 *   Sat 13 June 08:00 → 17:00 at km 240
 *   Sun 14 June 08:00 → 12:30 at km 300 (3 h in the saddle)
 */
describe('a ride of three days worked out by hand', () => {
  const table = timetable()
  it('has its days', () => {
    expect(table.days.map(({ toKm }) => Math.round(toKm * 100) / 100)).toEqual([120, 240, 300])
    expect(table.days.map(({ startsAt }) => formatWallClock(startsAt))).toEqual([
      '2026-06-12T10:00',
      '2026-06-13T08:00',
      '2026-06-14T08:00',
    ])
    expect(table.days.map(({ endsAt }) => formatWallClock(endsAt + 0.01))).toEqual([
      '2026-06-12T19:00',
      '2026-06-13T17:00',
      '2026-06-14T12:30',
    ])
    expect(table.days.map(({ ridingH }) => Math.round(ridingH * 1000) / 1000)).toEqual([6, 6, 3])
  })
  it('passes each place at its time', () => {
    expect(clock(table, 0)).toBe('2026-06-12T10:00')
    expect(clock(table, 40)).toBe('2026-06-12T13:00')
    expect(clock(table, 160)).toBe('2026-06-13T11:00')
    expect(weekdayOf(table.clockAt(290))).toBe('Sunday')
  })
  it('stays over night where a day ends, and only passes elsewhere', () => {
    const night = table.stayAt(120.4)
    expect([night.arrives, night.leaves].map((at) => formatWallClock(at + 0.01))).toEqual([
      '2026-06-12T19:00',
      '2026-06-13T08:00',
    ])
    const passing = table.stayAt(60)
    expect(passing.arrives).toBe(passing.leaves)
    const end = table.stayAt(300)
    expect(end.arrives).toBe(end.leaves)
  })
})

describe('nights that are settled', () => {
  it('end the days, and rest days push on what follows', () => {
    const table = timetable({
      nights: [
        { id: 'b', roadKm: 180, nights: 2 },
        { id: 'a', roadKm: 60 },
      ],
    })
    expect(table.days.map(({ toKm }) => Math.round(toKm))).toEqual([60, 180, 300])
    // Two nights at km 180: arrived on Saturday, on the road again on Monday.
    expect(formatWallClock(nth(table.days, 2).startsAt)).toBe('2026-06-15T08:00')
    const stay = table.stayAt(180)
    expect((stay.leaves - stay.arrives) / 60).toBeCloseTo(24 + 15, 1)
  })
  it('are reached in the evening, not on the morning one leaves', () => {
    const table = timetable({ nights: [{ id: 'n', roadKm: 60 }] })
    expect(table.clockAt(60)).toBe(nth(table.days, 0).endsAt)
    expect(table.clockAt(60.001)).toBeGreaterThanOrEqual(nth(table.days, 1).startsAt)
  })
  it('that are far off have the way to them shared out evenly', () => {
    // 20 km/h: km 280 is 14 h off, two days of 7; km 200 is 10 h, one long day; km 220 is 11 h, two of 5.5.
    const ends = (roadKm: number) =>
      timetable({ nights: [{ id: 'n', roadKm }], ridingH: 7 }).days.map(({ toKm }) => Math.round(toKm))
    expect(ends(280).slice(0, 2)).toEqual([140, 280])
    expect(ends(200)[0]).toBe(200)
    expect(ends(220).slice(0, 2)).toEqual([110, 220])
  })
  it('nobody stops for the night half an hour before the end', () => {
    // 290 km are 14.5 h in the saddle; the 15 h to the end are ridden in one.
    expect(timetable({ ridingH: 14.51 }).days).toHaveLength(1)
    expect(timetable({ ridingH: 14.4 }).days).toHaveLength(2)
  })
  it('that lie beyond the road, or at its ends, end no day', () => {
    const table = timetable({
      nights: [
        { id: 'x', roadKm: 500 },
        { id: 'y', roadKm: 0 },
      ],
    })
    expect(table.days).toHaveLength(3)
  })
  it('a late arrival is followed by six hours of rest at least', () => {
    const long = timetable({ nights: [{ id: 'far', roadKm: 280 }], pauseH: 0.5 })
    const [first, second] = long.days
    expect(defined(second).startsAt - defined(first).endsAt).toBeGreaterThanOrEqual(6 * 60)
    expect(formatWallClock(defined(second).startsAt)).toMatch(/T08:00$/)
  })
})

describe('any ride', () => {
  it('goes forward: days join, the clock never runs back, and no day is longer than its hours', () => {
    const anyRide = fc.record({
      ridingH: fc.integer({ min: 1, max: 14 }),
      pauseH: fc.integer({ min: 0, max: 4 }).map((quarters) => quarters / 4),
      dayStartsH: fc.integer({ min: 0, max: 23 }),
      nights: fc.array(
        fc.record({ id: fc.uuid(), roadKm: fc.integer({ min: 0, max: 400 }), nights: fc.integer({ min: 1, max: 3 }) }),
        { maxLength: 4 },
      ),
    })
    fc.assert(
      fc.property(anyRide, (change) => {
        const table = timetable(change)
        expect(nth(table.days, 0).fromKm).toBe(0)
        expect(defined(table.days.at(-1)).toKm).toBeCloseTo(survey.lengthKm, 9)
        for (let i = 1; i < table.days.length; i++) {
          expect(nth(table.days, i).fromKm).toBe(nth(table.days, i - 1).toKm)
          expect(nth(table.days, i).startsAt - nth(table.days, i - 1).endsAt).toBeGreaterThanOrEqual(360 - 1e-6)
        }
        let before = -Infinity
        for (let km = 0; km <= 300; km += 7) {
          const at = table.clockAt(km)
          expect(at).toBeGreaterThanOrEqual(before)
          before = at
        }
        if (change.nights.length === 0) {
          for (const { ridingH } of table.days) expect(ridingH).toBeLessThanOrEqual(change.ridingH + 0.5 + 1e-6)
        }
      }),
      { numRuns: 150 },
    )
  })
  it('without a start has no timetable', () => expect(() => timetable({ start: null })).toThrow(/without a start/))
})

describe('the clock on the wall', () => {
  it('knows which days there are', () => {
    for (const good of ['2026-06-12T08:00', '2028-02-29T23:59']) expect(isWallClock(good)).toBe(true)
    for (const bad of ['2026-02-29T08:00', '2026-13-01T08:00', '2026-06-12 08:00', '2026-06-12T24:00', '', 'soon']) {
      expect(isWallClock(bad)).toBe(false)
    }
    expect(() => parseWallClock('tomorrow')).toThrow(/no date and time/)
  })
  it.each(['x2026-06-12T08:00', '2026-06-12T08:00x', '2026-6-12T08:00', '2026-06-12 08:00', ''])(
    '“%s” is none',
    (text) => {
      expect(isWallClock(text)).toBe(false)
      expect(() => parseWallClock(text)).toThrow(`"${text}" is no date and time such as 2026-06-12T08:00`)
    },
  )
  it('is read back as it was written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60_000_000 }), (at) => {
        expect(parseWallClock(formatWallClock(at))).toBe(at)
      }),
    )
  })
  it('has the weekdays of the calendar, in any year a ride can begin in', () => {
    expect(weekdayOf(parseWallClock('2026-06-12T08:00'))).toBe('Friday')
    expect(weekdayOf(parseWallClock('2000-01-01T00:00'))).toBe('Saturday')
    // ISO 8601 gives 1900-01-01 as day 1 of the week, a Monday; from then on the names come in turn.
    const names = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
    const [first, last] = [parseWallClock(startsBetween.first), parseWallClock(startsBetween.last)]
    for (let at = first, day = 0; at <= last; at += minutesPerDay, day++) {
      if (weekdayOf(at + (day % minutesPerDay)) !== names[day % 7]) expect.fail(`${dateOf(at)}: ${weekdayOf(at)}`)
    }
  })
  it('is refused as a start in years nobody rides in, with the years that would do', () => {
    for (const start of ['0002-06-13T08:30', '0202-06-13T08:30', '1899-12-31T23:59', '2200-01-01T00:00']) {
      expect(rideSchema.safeParse({ start }).success).toBe(false)
    }
    expect(rideSchema.safeParse({ start: '2200-01-01T00:00' }).error?.issues[0]?.message).toMatch(/1900 to 2199/)
    for (const start of [startsBetween.first, startsBetween.last]) expect(rideSchema.parse({ start }).start).toBe(start)
  })
})
