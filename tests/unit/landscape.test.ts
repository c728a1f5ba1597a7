import { usualConditions, usualPacking } from '#core/bench'
import { usualTurning } from '#core/fix'
import { successBySkill, usualSharing } from '#core/crew'
import { nth, defined, numberAt } from '#core/validation'
import { usualErrands } from '#core/jobs'
import { hazardSchema } from '#core/hazard'
import { CostsOfFailing, heaviestPush, Landscape, roadView, worstPushOut } from '#core/availability'
import type { Reference } from '#core/reference'
import { surveyRoad, type RoadPoint } from '#core/road'
import { stopSchema, supplyFamilySchema } from '#core/supply'
import { tripSchema, type Trip } from '#core/trip'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'

/**
 * A level road of 100 km due east on the equator, where a degree is
 * 2π·6378.137/360 km. Naismith walks 3 miles, 4.828032 km, in an hour.
 *
 *   km 0 start — 20 bike shop — 50 hamlet with a bus — 80 petrol station — 100 end
 *
 * The shop has tubes and cables, the petrol station tubes only.
 */
const kmOfDegree = (Math.PI * 6378.137) / 180
const points: RoadPoint[] = Array.from({ length: 201 }, (_, i) => [0, i / 2 / kmOfDegree, 5])
const survey = surveyRoad(points)
const kmPerHour = 4.828032
const walk = (km: number) => km / kmPerHour

const reference: Reference = {
  families: [
    supplyFamilySchema.parse({ id: 'tube', name: 'tube', variant: 'none' }),
    supplyFamilySchema.parse({ id: 'cable', name: 'cable', variant: 'none' }),
  ],
  services: [
    { id: 'bike-shop', name: 'bike shop', mends: true, takesParcels: false, stocks: { tube: 0.95, cable: 0.9 } },
    { id: 'petrol', name: 'petrol station', mends: false, takesParcels: false, stocks: { tube: 0.7 } },
  ],
  functions: [],
  techniques: [],
  hazards: [],
  fixes: [],
  hands: successBySkill,
  works: usualConditions,
  turning: usualTurning,
  sharing: usualSharing,
  packing: usualPacking,
  containers: [],
  jobs: [],
  errands: usualErrands,
  checks: [],
  trials: [],
  items: [],
  bikes: [],
}
const stops = [
  { id: 'shop', name: 'Shop', roadKm: 20, services: [{ kind: 'bike-shop' }] },
  { id: 'hamlet', name: 'Hamlet', roadKm: 50, exit: 'bus' },
  { id: 'petrol', name: 'Petrol', roadKm: 80, services: [{ kind: 'petrol' }] },
]
interface Change {
  readonly stops?: object[]
  readonly stretches?: object[]
  readonly dials?: object
  readonly ride?: object
  readonly forecast?: object
}
const tripWith = (change: Change): Trip =>
  tripSchema.parse({
    format: 'rag-tin.trip/6',
    name: 'by hand',
    road: { points, stretches: change.stretches ?? [] },
    ride: change.ride,
    forecast: change.forecast,
    stops: change.stops ?? stops,
    dials: { nightOutH: 0, rideOverH: 2, ...change.dials },
  })
const landscape = (change: Change = {}) => new Landscape(tripWith(change), survey, reference)
const costs = (change: Change = {}) => new CostsOfFailing(tripWith(change), survey, reference)
/** Hours from a place of the road, read between the nodes of the grid. */
function hoursAt(land: Landscape, hours: Float64Array, km: number): number {
  const i = land.grid.km.findIndex((at) => at >= km - 1e-9)
  return numberAt(hours, i)
}
const flat = hazardSchema.parse({
  kind: 'sudden',
  id: 'flat',
  name: 'flat',
  settledBy: 'tube',
  per1000km: 1,
})

describe('gaps by what the places stock', () => {
  const kmOf = (land: Landscape, classId: string) => land.gaps(classId).map(({ fromKm, toKm }) => [fromKm, toKm])
  it('differ from class to class', () => {
    expect(kmOf(landscape(), 'tube').flat()).toEqual([0, 20, 20, 80, 80, expect.closeTo(100, 6)])
    expect(kmOf(landscape(), 'cable').flat()).toEqual([0, 20, 20, expect.closeTo(100, 6)])
  })
  it('of a class nobody has run the whole road', () => {
    expect(kmOf(landscape(), 'hanger-a1').flat()).toEqual([0, expect.closeTo(100, 6)])
  })
  it('close where less trust is asked, and open where more is', () => {
    expect(kmOf(landscape({ dials: { trust: 0.66 } }), 'tube')).toHaveLength(3)
    expect(kmOf(landscape({ dials: { trust: 0.67 } }), 'tube')).toHaveLength(2)
    expect(kmOf(landscape({ dials: { trust: 1 } }), 'tube')).toHaveLength(1)
  })
})

describe('the walk to where a class can be had', () => {
  it('is to the nearer of two shops, or to an end of the road', () => {
    const land = landscape({ stops: stops.filter(({ id }) => id !== 'hamlet') })
    const hours = land.walkTo('tube', 1)
    // km 10 lies between start and shop; km 45 is 25 km from the shop, 35 from the petrol station.
    for (const [km, far] of [
      [0, 0],
      [10, 10],
      [45, 25],
      [50, 30],
      [60, 20],
      [90, 10],
    ] as const) {
      expect(hoursAt(land, hours, km)).toBeCloseTo(walk(far), 6)
    }
  })

  it('counts the way off the road, and a bike that is hard to push', () => {
    const far = stops.map((stop) => (stop.id === 'shop' ? { ...stop, offRoadM: 3000 } : stop))
    const land = landscape({ stops: far.filter(({ id }) => id !== 'hamlet') })
    const hours = land.walkTo('tube', 1.5)
    expect(hoursAt(land, hours, 24)).toBeCloseTo(1.5 * walk(4 + 3), 6)
  })
})

describe('a lift', () => {
  const silent = [{ id: 's', fromKm: 30, toKm: 70, surface: 'gravel', signal: false }]
  it('is waited for where a call gets through, and walked to elsewhere', () => {
    const lift = defined(landscape({ stretches: silent, dials: { liftWaitH: 2 } }).liftAlong(1))
    const land = landscape({ stretches: silent, dials: { liftWaitH: 2 } })
    expect(hoursAt(land, lift, 10)).toBe(2)
    expect(hoursAt(land, lift, 30)).toBe(2)
    expect(hoursAt(land, lift, 50)).toBeCloseTo(2 + walk(20), 2)
    expect(hoursAt(land, lift, 62.5)).toBeCloseTo(2 + walk(7.5), 2)
  })
  it('never comes where none may be called, or where the whole road is silent', () => {
    expect(landscape().liftAlong(1)).toBeUndefined()
    const nowhere = landscape({
      stretches: [{ ...nth(silent, 0), fromKm: 0, toKm: survey.lengthKm }],
      dials: { liftWaitH: 2 },
    })
    expect(hoursAt(nowhere, defined(nowhere.liftAlong(1)), 50)).toBe(Infinity)
  })
})

describe('what the road is like', () => {
  it('leans to where a hazard strikes', () => {
    const thorns = hazardSchema.parse({ ...flat, onRoad: [{ when: 'thorns', times: 3 }] })
    const stretches = [{ id: 's', fromKm: 20, toKm: 50, surface: 'gravel', thorns: true }]
    // 30 km count threefold, 70 km once.
    expect(costs({ stretches }).conditions.weightedKm(thorns)).toBeCloseTo(160, 6)
  })
  it('wears by metres descended what goes by them, and as usual where nobody knows the heights', () => {
    const pads = hazardSchema.parse({ ...flat, byDescent: { share: 0.6, mPerKm: 20 } })
    const weighted = (heights: (km: number) => number | null) => {
      const hill = surveyRoad(points.map(([lat, lon], i): RoadPoint => [lat, lon, heights(i / 2)]))
      return new CostsOfFailing(tripWith({}), hill, reference).conditions.weightedKm(pads)
    }
    // 1000 m up and down again over 100 km: 10 m descended a km in the mean, half of what is usual.
    const ridge = (km: number) => 20 * Math.min(km, 100 - km)
    expect(weighted(ridge)).toBeCloseTo(100 * (0.4 + 0.6 / 2), 0)
    expect(weighted((km) => 20 * km)).toBeCloseTo(100 * 0.4, 6)
    expect(weighted((km) => 4000 - 40 * km)).toBeCloseTo(100 * (0.4 + 0.6 * 2), 0)
    expect(weighted(() => null)).toBeCloseTo(100, 6)
  })
  it('has more or fewer coming by', () => {
    const stretches = [
      { id: 'a', fromKm: 20, toKm: 50, surface: 'gravel', traffic: 'busy' },
      { id: 'b', fromKm: 50, toKm: 80, surface: 'gravel', traffic: 'empty' },
    ]
    const { conditions, grid } = costs({ stretches })
    const at = (km: number) =>
      numberAt(
        conditions.passersBy(),
        grid.km.findIndex((node) => node >= km),
      )
    expect([10, 30, 60, 90].map(at)).toEqual([1, 2, 0.25, 1])
  })
})

describe('the weather of a day', () => {
  const ride = { start: '2026-06-12T08:00', ridingH: 2, pauseH: 0 }
  const wetFlat = hazardSchema.parse({ ...flat, onRoad: [{ when: 'wet', times: 3 }] })
  const weather = (...days: object[]) => costs({ ride, forecast: { days } }).conditions
  const day = (date: string, rainMm: number, lowC = 12) => ({ date, lowC, highC: 20, rainMm, windKmH: 10 })

  // Gravel at 15 km/h, two hours a day: 30 km on the Friday, 30 on the Saturday.
  it('makes its kilometres wet from 2 mm of rain on', () => {
    expect(weather(day('2026-06-13', 1.9)).weightedKm(wetFlat)).toBeCloseTo(100, 6)
    expect(weather(day('2026-06-13', 2)).weightedKm(wetFlat)).toBeCloseTo(100 + 2 * 30, 6)
    expect(weather(day('2026-06-12', 9), day('2026-06-13', 9)).weightedKm(wetFlat)).toBeCloseTo(100 + 2 * 60, 6)
  })
  it('makes nights out dearer when it is cold, and more so in rain', () => {
    const factor = (...days: object[]) => numberAt(weather(...days).nightFactors(), 0)
    expect(factor()).toBe(1)
    expect(factor(day('2026-06-12', 0))).toBe(1)
    expect(factor(day('2026-06-12', 0, 0))).toBeCloseTo(1.5, 9)
    expect(factor(day('2026-06-12', 5, 0))).toBeCloseTo(1.5 * 1.3, 9)
  })
  it('is left out while nobody knows the day', () => {
    const undated = costs({ forecast: { days: [day('2026-06-12', 20)] } }).conditions
    expect(undated.weightedKm(wetFlat)).toBeCloseTo(100, 6)
  })
})

describe('the way to help of any kind', () => {
  it('changes along the road no faster than one walks', () => {
    const place = fc.record({ roadKm: fc.double({ min: 0, max: 99, noNaN: true }), offRoadM: fc.nat(20_000) })
    fc.assert(
      fc.property(fc.array(place, { maxLength: 8 }), (places) => {
        const asStops = places.map((at, i) => stopSchema.parse({ id: `s${i}`, name: `s${i}`, exit: 'train', ...at }))
        const land = landscape({ stops: asStops })
        const { hours } = land.pushOutToHelp(1.15)
        for (let i = 1; i < hours.length; i++) {
          const steepest = 1.15 * walk(numberAt(land.grid.km, i) - numberAt(land.grid.km, i - 1))
          expect(Math.abs(numberAt(hours, i) - numberAt(hours, i - 1))).toBeLessThanOrEqual(steepest + 1e-9)
        }
      }),
      { numRuns: 60 },
    )
  })
  it('is the better of the ways ahead and back', () => {
    const { hours, ahead, back } = landscape().pushOutToHelp(1)
    hours.forEach((value, node) =>
      expect(value).toBe(Math.min(numberAt(ahead.hours, node), numberAt(back.hours, node))),
    )
  })

  it('counts places that mend or let one leave, not every petrol station', () => {
    expect(
      landscape()
        .helps()
        .map(({ name }) => name),
    ).toEqual(['Shop', 'Hamlet', 'the start', 'the end'])
  })

  it('is longest in the middle of the longest stretch without any', () => {
    // 50 km from the hamlet to the end: 25 km each way.
    const worst = worstPushOut(landscape(), { bikes: [] })
    expect(worst.atKm).toBeCloseTo(75, 1)
    expect(worst.worstH).toBeCloseTo(1.15 * walk(25), 2)
    expect(['Hamlet', 'the end']).toContain(worst.to)
  })

  it('is walked with the bike that is hardest to push', () => {
    const bikes = [{ pushFactor: 1.2 }, { pushFactor: 1.8 }] as unknown as Trip['bikes']
    expect(heaviestPush({ bikes })).toBe(1.8)
    expect(heaviestPush({ bikes: [] })).toBe(1.15)
  })

  it('never gets longer with one place more', () => {
    const place = fc.record({ roadKm: fc.double({ min: 0, max: 99, noNaN: true }), offRoadM: fc.nat(20_000) })
    fc.assert(
      fc.property(fc.array(place, { maxLength: 8 }), place, (some, another) => {
        const asStops = (places: (typeof another)[]) =>
          places.map((at, i) => stopSchema.parse({ id: `s${i}`, name: `s${i}`, exit: 'train', ...at }))
        const fewer = landscape({ stops: asStops(some) })
        const more = landscape({ stops: asStops([...some, another]) })
        const worstOf = (land: Landscape) => worstPushOut(land, { bikes: [] }).worstH
        expect(worstOf(more)).toBeLessThanOrEqual(worstOf(fewer) + 0.02)
      }),
      { numRuns: 60 },
    )
  })
})

it('the strip is given the gaps of every class the trip has to do with, tiling the road', () => {
  const trip = tripSchema.parse({
    format: 'rag-tin.trip/6',
    name: 'strip',
    road: { points },
    stops,
    bench: [{ id: 'tube', name: 'tube', massG: 120, units: { tube: 1 } }],
  })
  const view = roadView(new Landscape(trip, survey, reference), trip, reference)
  expect(Object.keys(view.gaps)).toEqual(['tube'])
  expect(defined(view.gaps.tube).reduce((sum, { km }) => sum + km, 0)).toBeCloseTo(view.lengthKm, 9)
  expect(view.walkOut.km).toHaveLength(view.walkOut.hours.length)
  expect(view.walkOut.to[0]).toBe('the start')
})
