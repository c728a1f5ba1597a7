import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoTrip } from '../../catalogue/demo'
import { nightAt, rideSchema, settleNight } from '../../core/ride'
import { stopSchema } from '../../core/supply'
import { moveStop } from '../../core/trip'
import { forecastSchema, forgetWeather, mildDay, sayWeather, type Forecast } from '../../core/weather'

const demo = demoTrip()
const nightsOf = (...places: [roadKm: number, nights: number][]) =>
  rideSchema.parse({ nights: places.map(([roadKm, nights], i) => ({ id: `n${i}`, roadKm, nights })) }).nights

describe('a night at a place', () => {
  it('is settled, made longer, and left open again', () => {
    const one = settleNight(nightsOf([200, 1]), 143.2, 1, 'new')
    expect(one.map(({ roadKm, nights }) => [roadKm, nights])).toEqual([
      [143.2, 1],
      [200, 1],
    ])
    const rest = settleNight(one, 143.9, 3, 'not needed')
    expect(nightAt(rest, 143)).toEqual({ id: 'new', roadKm: 143.2, nights: 3 })
    expect(settleNight(rest, 143.2, 0, 'not needed')).toEqual(nightsOf([200, 1]))
  })
  it('leaves the others as they are, wherever it is', () => {
    const places = fc.uniqueArray(fc.integer({ min: 0, max: 40 }), { selector: (km) => km })
    fc.assert(
      fc.property(places, fc.integer({ min: 0, max: 120 }), fc.integer({ min: 0, max: 5 }), (kms, at, count) => {
        const before = nightsOf(...kms.map((km): [number, number] => [3 * km, 1]))
        const after = settleNight(before, at, count, 'new')
        const here = nightAt(before, at)
        const others = (nights: typeof before) => new Set(nights.filter(({ id }) => id !== (here?.id ?? 'new')))
        expect(others(after)).toEqual(others(before))
        expect(nightAt(after, at)?.nights ?? 0).toBe(count)
      }),
    )
  })
})

describe('a stop that is moved', () => {
  const stops = [
    stopSchema.parse({ id: 'a', name: 'A', roadKm: 10 }),
    stopSchema.parse({ id: 'b', name: 'B', roadKm: 20 }),
  ]
  it('takes its place among the others, and the night there goes with it', () => {
    const ride = { ...demo.ride, nights: nightsOf([10, 2], [20, 1]) }
    const moved = moveStop({ stops, ride }, stops[0]!, 35)
    expect(moved.stops.map(({ id, roadKm }) => [id, roadKm])).toEqual([
      ['b', 20],
      ['a', 35],
    ])
    expect(moved.ride!.nights.map(({ roadKm, nights }) => [roadKm, nights])).toEqual([
      [35, 2],
      [20, 1],
    ])
  })
  it('without a night leaves the ride alone', () => {
    expect(moveStop({ stops, ride: { ...demo.ride, nights: nightsOf([50, 1]) } }, stops[0]!, 5)).not.toHaveProperty(
      'ride',
    )
  })
})

describe('the weather said by hand', () => {
  const none = forecastSchema.parse({})
  it('of one day is mild but for what is said', () => {
    expect(sayWeather(none, '2026-06-14', { rainMm: 7 })).toEqual({
      from: '',
      days: [{ ...mildDay('2026-06-14'), rainMm: 7 }],
    })
  })
  it('changes one day of a forecast, and says so', () => {
    const said = sayWeather(demo.forecast, demo.forecast.days[2]!.date, { windKmH: 70 })
    expect(said.from).toBe(`${demo.forecast.from}, changed by hand`)
    expect(said.days.filter((day, i) => day !== demo.forecast.days[i])).toEqual([
      { ...demo.forecast.days[2]!, windKmH: 70 },
    ])
    expect(sayWeather(said, said.days[0]!.date, { windKmH: 5 }).from).toBe(said.from)
  })
  it('of a day can be forgotten; of the last day, wholly', () => {
    const said = sayWeather(none, '2026-06-14', { rainMm: 7 })
    expect(forgetWeather(said, '2026-06-14')).toEqual({ from: '', days: [] })
    expect(forgetWeather(said, '2026-06-15')).toEqual(said)
  })
  it('is always weather that can be, in order of its days', () => {
    const celsius = fc.integer({ min: -60, max: 50 })
    const change = fc.oneof(
      fc.record({ lowC: celsius }),
      fc.record({ highC: celsius }),
      fc.record({ rainMm: fc.integer({ min: 0, max: 500 }) }),
    )
    const said = fc.array(fc.tuple(fc.integer({ min: 10, max: 29 }), change))
    fc.assert(
      fc.property(said, (changes) => {
        const forecast = changes.reduce<Forecast>(
          (before, [day, what]) => sayWeather(before, `2026-06-${day}`, what),
          none,
        )
        expect(forecastSchema.parse(forecast)).toEqual(forecast)
        const dates = forecast.days.map(({ date }) => date)
        expect(dates).toEqual([...new Set(dates)].sort())
        // The last word on a day's low or high is kept to.
        const last = changes.at(-1)
        if (last) expect(forecast.days.find(({ date }) => date === `2026-06-${last[0]}`)).toMatchObject(last[1])
      }),
    )
  })
})
