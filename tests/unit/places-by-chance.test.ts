import { catalogue } from '#catalogue'
import { CostsOfFailing } from '#core/availability'
import { OpeningCache } from '#core/ride'
import { nearestNode, surveyRoad, type RoadPoint } from '#core/road'
import { stopSchema } from '#core/supply'
import { tripSchema } from '#core/trip'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

/** 100 km on the level at 20 km/h from Friday 12 June 2026, 08:00: km 60 is reached at 11:00. An hour is waited anywhere. */
const kmOfDegree = (Math.PI * 6378.137) / 180
const points: RoadPoint[] = Array.from({ length: 101 }, (_, i) => [0, i / kmOfDegree, 5])
const survey = surveyRoad(points)
const book = new OpeningCache()
const shop = (chance: number, hours: string) => ({
  kind: 'bike-shop',
  knownFrom: 'asked',
  hours,
  stocks: { 'tube-622': chance, 'chain-11': chance / 2 },
})
const townWith = (services: readonly object[], start: string | null, waitH: number | null, more: object = {}) => {
  const stop = stopSchema.parse({ id: 'town', name: 'Town', roadKm: 60, offRoadM: 200, services, waitH, ...more })
  const trip = tripSchema.parse({
    format: 'rag-tin.trip/6',
    name: 'level',
    road: { points, stretches: [{ id: 'all', fromKm: 0, toKm: survey.lengthKm, surface: 'asphalt' }] },
    ride: { start, pauseH: 0, ridingH: 10 },
    dials: { waitH: 1, rideOverH: 2, nightOutH: 0 },
    stops: [stop],
  })
  return { stop: nth(trip.stops, 0), costs: new CostsOfFailing(trip, survey, catalogue, book) }
}
interface Asked {
  readonly classes?: readonly string[]
  readonly start?: string | null
  readonly waitH?: number | null
}
const friday = '2026-06-12T08:00'
/** The chances of the places with their waits. */
function placesOf(services: readonly object[], { classes = ['tube-622'], start = friday, waitH = null }: Asked = {}) {
  const places = townWith(services, start, waitH).costs.placesWith(classes)
  return places.map((place) => [Number(place.chance.toFixed(9)), Number(place.waitH.toFixed(9))])
}
const [open, atOne, atFour] = ['Fr 08:00-18:00', 'Fr 13:00-18:00', 'Fr 16:00-18:00']

describe('where a class may be had at a stop', () => {
  it('is one place where all that has it is open: what one lacks another may have', () => {
    // 1 − 0.5 · 0.4.
    expect(placesOf([shop(0.5, open), shop(0.6, open)])).toEqual([[0.8, 0]])
    const { costs } = townWith([shop(0.5, open)], friday, null)
    expect(costs.placesWith(['tube-622'])).toEqual([{ roadKm: 60, offRoadM: 200, chance: 0.5, waitH: 0 }])
    // Of several classes the surest counts, since any of them will do.
    expect(placesOf([shop(0.6, open)], { classes: ['chain-11', 'tube-622'] })).toEqual([[0.6, 0]])
    expect(placesOf([])).toEqual([])
  })
  it('is another place for whoever waits longer than anywhere: the later one when those before have failed', () => {
    // Five hours until four, two until one; an hour of each is waited anyway.
    const later = [
      [0.5, 0],
      [0.6, 1],
      [0.25, 4],
    ]
    expect(placesOf([shop(0.5, open), shop(0.6, atOne), shop(0.25, atFour)])).toEqual(later)
    expect(placesOf([shop(0.25, atFour), shop(0.6, atOne), shop(0.5, open)])).toEqual(later)
    expect(placesOf([shop(0.6, atOne)])).toEqual([[0.6, 1]])
    // Who has settled to wait there for two hours waits no longer for it.
    expect(placesOf([shop(0.5, open), shop(0.6, atOne)], { waitH: 2 })).toEqual([[0.8, 0]])
  })
  it('is none that is only to be had when it has been had for sure', () => {
    expect(placesOf([shop(1, open), shop(0.6, atOne)])).toEqual([[1, 0]])
    expect(placesOf([shop(0, open), shop(0.6, atOne)])).toEqual([[0.6, 1]])
    expect(placesOf([shop(0, open)])).toEqual([])
  })
  it('counts eight times in ten where nobody knows the hours, and not at all where it never opens', () => {
    expect(placesOf([shop(0.5, '')])).toEqual([[0.4, 0]])
    expect(placesOf([shop(0.5, 'off')])).toEqual([])
    expect(placesOf([shop(0.5, open), shop(0.5, 'off')])).toEqual([[0.5, 0]])
  })
  it('without a start counts at any hours that can be read, and not at all where it never opens', () => {
    expect(placesOf([shop(0.5, atFour)], { start: null })).toEqual([[0.5, 0]])
    expect(placesOf([shop(0.5, 'whenever')], { start: null })).toEqual([[0.4, 0]])
    expect(placesOf([shop(0.5, 'off')], { start: null })).toEqual([])
  })
})

it('in passing a stock is filled up at what opens before one would go on', () => {
  const refill = (services: readonly object[], waitH: number | null = null) => {
    const { stop, costs } = townWith(services, friday, waitH)
    return costs.refillChance(stop, 'tube-622')
  }
  expect(refill([shop(0.5, open), shop(0.6, open)])).toBeCloseTo(0.8, 9)
  expect(refill([shop(0.5, open), shop(0.6, atOne)])).toBeCloseTo(0.5, 9)
  expect(refill([shop(0.5, open), shop(0.6, 'Fr 12:00-18:00')])).toBeCloseTo(0.8, 9)
  expect(refill([shop(0.5, open), shop(0.6, atOne)], 2)).toBeCloseTo(0.8, 9)
  expect(refill([shop(0.5, '')])).toBeCloseTo(0.4, 9)
  expect(refill([])).toBe(0)
})

it('a place is as far as it lies', () => {
  const { costs } = townWith([shop(1, open)], friday, null)
  const { walkH } = costs.stuck(['tube-622'], 1)
  const at = costs.grid.km.indexOf(60)
  // 200 m aside at three miles an hour, as Naismith has it.
  expect(nth(walkH, at)).toBeCloseTo(0.2 / 4.828032, 6)
})

it('a ride is left at its ends, and at a stop only where there is a way to leave it', () => {
  const stuckAt60 = (more: object) => {
    const { costs } = townWith([], friday, null, more)
    const { walkH, priceH } = costs.stuck(['tube-622'], 1)
    const at = costs.grid.km.indexOf(60)
    return { walkH: nth(walkH, at), priceH: nth(priceH, at) }
  }
  // 40 km to the end at three miles an hour; the price of being stranded beside it.
  const toTheEnd = stuckAt60({ exitWaitH: 1 })
  expect(toTheEnd.walkH).toBeCloseTo(40 / 4.828032, 2)
  // The train goes after an hour, and the ride is over; the 200 m to it strand nobody.
  const byTrain = stuckAt60({ exit: 'train', exitWaitH: 1 })
  expect(byTrain.walkH).toBeCloseTo(0.2 / 4.828032, 6)
  expect(byTrain.priceH - (toTheEnd.priceH * byTrain.walkH) / 3).toBeCloseTo(3, 6)
})

it('nights on the way out are by the light of that day: a walk of hours takes more of them in winter', () => {
  const north = points.map(([, longitude, ele]): RoadPoint => [60, 2 * longitude, ele])
  const surveyed = surveyRoad(north)
  const pricesOn = (start: string) => {
    const trip = tripSchema.parse({
      format: 'rag-tin.trip/6',
      name: 'north',
      road: { points: north, stretches: [{ id: 'all', fromKm: 0, toKm: surveyed.lengthKm, surface: 'asphalt' }] },
      ride: { start, pauseH: 0, ridingH: 10, utcOffsetH: 0 },
      dials: { nightOutH: 4, walkHoursPerDay: 10 },
    })
    const costs = new CostsOfFailing(trip, surveyed, catalogue, book)
    const { walkH, priceH } = costs.stuck(['tube-622'], 1)
    const at = nearestNode(costs.grid, 50)
    expect(nth(walkH, at)).toBeCloseTo(50 / 4.828032, 1)
    return nth(priceH, at)
  }
  const [summer, winter] = [pricesOn('2026-06-12T08:00'), pricesOn('2026-12-12T08:00')]
  // Ten hours on foot: by the light of June there may be none, in December there is one at least.
  expect(winter - summer).toBeGreaterThan(1)
})
