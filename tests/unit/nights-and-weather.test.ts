import { nth, defined } from '#core/validation'
import { nightPlaceAt, nightAt, rideSchema, setNights } from '#core/ride'
import { stopSchema } from '#core/supply'
import { moveStop } from '#core/trip'
import { forecastSchema, clearWeather, defaultWeather, setWeather, type Forecast } from '#core/weather'
import { demoTrip } from '#catalogue/demo'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

const demo = demoTrip()
const nightsOf = (...places: [roadKm: number, nights: number][]) =>
  rideSchema.parse({ nights: places.map(([roadKm, nights], i) => ({ id: `n${i}`, roadKm, nights })) }).nights

const outside = (roadKm: number) => ({ roadKm, stop: null })

describe('a night at a place', () => {
  it('is settled, made longer, and left open again', () => {
    const first = setNights(nightsOf([200, 1]), outside(143.2), 1, 'new')
    expect(first.map(({ roadKm, nights }) => [roadKm, nights])).toEqual([
      [143.2, 1],
      [200, 1],
    ])
    const rest = setNights(first, outside(143.9), 3, 'not needed')
    expect(nightAt(rest, outside(143))).toEqual({ id: 'new', roadKm: 143.2, stop: null, nights: 3 })
    expect(setNights(rest, outside(143.2), 0, 'not needed')).toEqual(nightsOf([200, 1]))
  })
  it('is the nearest of those about', () => {
    expect(nightAt(nightsOf([142.5, 1], [143.4, 2]), outside(143.2))?.nights).toBe(2)
    expect(nightAt(nightsOf([143.4, 2], [142.5, 1]), outside(142.6))?.nights).toBe(1)
  })
  it('is slept at the nearest stop about, else out on the road', () => {
    const stops = [
      { id: 'far', roadKm: 19.2 },
      { id: 'near', roadKm: 20.3 },
    ]
    expect(nightPlaceAt(stops, 20)).toEqual({ roadKm: 20.3, stop: 'near' })
    expect(nightPlaceAt(stops, 25)).toEqual({ roadKm: 25, stop: null })
  })
  it('at a stop is that stop’s own before a nearer one, and one about it comes to lie there', () => {
    const own = [{ id: 'a', roadKm: 20, stop: 'inn', nights: 3 }, ...nightsOf([20.4, 1])]
    expect(nightAt(own, { roadKm: 20.5, stop: 'inn' })?.id).toBe('a')
    // Half a kilometre off, somebody had settled it before there was a stop.
    expect(setNights(nightsOf([20.5, 2]), { roadKm: 20, stop: 'inn' }, 2, 'not needed')).toEqual([
      { id: 'n0', roadKm: 20, stop: 'inn', nights: 2 },
    ])
  })
  it('leaves the others as they are, wherever it is', () => {
    const places = fc.uniqueArray(fc.integer({ min: 0, max: 40 }), { selector: (km) => km })
    fc.assert(
      fc.property(places, fc.integer({ min: 0, max: 120 }), fc.integer({ min: 0, max: 5 }), (kms, at, count) => {
        const before = nightsOf(...kms.map((km): [number, number] => [3 * km, 1]))
        const after = setNights(before, outside(at), count, 'new')
        const here = nightAt(before, outside(at))
        const others = (nights: typeof before) => new Set(nights.filter(({ id }) => id !== (here?.id ?? 'new')))
        expect(others(after)).toEqual(others(before))
        expect(nightAt(after, outside(at))?.nights ?? 0).toBe(count)
      }),
    )
  })
})

describe('a stop that is moved', () => {
  const stops = [
    stopSchema.parse({ id: 'a', name: 'A', roadKm: 10 }),
    stopSchema.parse({ id: 'b', name: 'B', roadKm: 20 }),
  ]
  it('takes its place among the others, and the night that holds on to it goes with it', () => {
    const nights = [{ id: 'x', roadKm: 10, stop: 'a', nights: 2 }, ...nightsOf([20, 1])]
    const moved = moveStop({ stops, ride: { ...demo.ride, nights } }, nth(stops, 0), 35)
    expect(moved.stops.map(({ id, roadKm }) => [id, roadKm])).toEqual([
      ['b', 20],
      ['a', 35],
    ])
    expect(defined(moved.ride).nights.map(({ roadKm, nights: count }) => [roadKm, count])).toEqual([
      [20, 1],
      [35, 2],
    ])
  })
  it('dragged past other nights takes its own along, and leaves those where they are', () => {
    const own = { id: 'own', roadKm: 10, stop: 'a', nights: 1 }
    const others = nightsOf([15, 1], [20, 2])
    let trip = { stops, ride: { ...demo.ride, nights: [own, ...others] } }
    for (let roadKm = 10; roadKm <= 30; roadKm += 0.5) {
      const dragged = defined(trip.stops.find(({ id }) => id === 'a'))
      trip = { ...trip, ...moveStop(trip, dragged, roadKm) }
    }
    expect(trip.ride.nights).toEqual([...others, { ...own, roadKm: 30 }])
  })
  it('without a night leaves the ride alone', () => {
    expect(moveStop({ stops, ride: { ...demo.ride, nights: nightsOf([50, 1]) } }, nth(stops, 0), 5)).not.toHaveProperty(
      'ride',
    )
  })
})

describe('the weather said by hand', () => {
  const none = forecastSchema.parse({})
  it('of one day is mild but for what is said', () => {
    expect(setWeather(none, '2026-06-14', { rainMm: 7 })).toEqual({
      from: '',
      days: [{ ...defaultWeather('2026-06-14'), rainMm: 7 }],
    })
  })
  it('changes one day of a forecast, and says so', () => {
    const said = setWeather(demo.forecast, nth(demo.forecast.days, 2).date, { windKmH: 70 })
    expect(said.from).toBe(`${demo.forecast.from}, changed by hand`)
    expect(said.days.filter((day, i) => day !== demo.forecast.days[i])).toEqual([
      { ...nth(demo.forecast.days, 2), windKmH: 70 },
    ])
    expect(setWeather(said, nth(said.days, 0).date, { windKmH: 5 }).from).toBe(said.from)
  })
  it('of a day can be forgotten; of the last day, wholly', () => {
    const said = setWeather(none, '2026-06-14', { rainMm: 7 })
    expect(clearWeather(said, '2026-06-14')).toEqual({ from: '', days: [] })
    expect(clearWeather(said, '2026-06-15')).toEqual(said)
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
          (before, [day, what]) => setWeather(before, `2026-06-${day}`, what),
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
