import { catalogue } from '#catalogue'
import { CostsOfFailing, stranded } from '#core/availability'
import { OpeningCache } from '#core/ride'
import { nearestNode, surveyRoad, type RoadPoint } from '#core/road'
import { tripSchema } from '#core/trip'
import { defined, nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

/** 100 km on the level, ridden at 20 km/h from Friday 12 June 2026, 08:00, and walked at three miles an hour, by Naismith. */
const kmOfDegree = (Math.PI * 6378.137) / 180
const points: RoadPoint[] = Array.from({ length: 101 }, (_, i) => [0, i / kmOfDegree, 5])
const survey = surveyRoad(points)
const book = new OpeningCache()
const walkKmH = 4.828032
/** The price of being stranded for whoever walks so long. */
const strandedH = (walkH: number) => stranded.priceH * Math.min(1, walkH / stranded.fromWalkH)

const town = (roadKm: number, chance: number, hours = 'Fr 08:00-20:00') => ({
  id: `town ${roadKm}`,
  name: `Town ${roadKm}`,
  roadKm,
  services: [{ kind: 'bike-shop', knownFrom: 'asked', hours, stocks: { 'tube-622': chance } }],
})
function costsWith(stops: readonly object[], dials: object = {}, more: object = {}): CostsOfFailing {
  const trip = tripSchema.parse({
    format: 'rag-tin.trip/6',
    name: 'level',
    road: { points, stretches: [{ id: 'all', fromKm: 0, toKm: survey.lengthKm, surface: 'asphalt' }] },
    ride: { start: '2026-06-12T08:00', pauseH: 0, ridingH: 10 },
    dials: { waitH: 1, rideOverH: 2, nightOutH: 0, liftWaitH: null, ...dials },
    stops,
    ...more,
  })
  return new CostsOfFailing(trip, survey, catalogue, book)
}
/** What being stuck costs at a place of the road. */
function stuckAt(costs: CostsOfFailing, km: number, classes: readonly string[] = ['tube-622'], pushFactor = 1) {
  const { walkH, priceH } = costs.stuck(classes, pushFactor)
  const node = nearestNode(costs.grid, km)
  return [nth(walkH, node), nth(priceH, node)].map((hours) => Number(hours.toFixed(3)))
}
const figures = (...hours: number[]) => hours.map((each) => Number(each.toFixed(3)))

describe('how far one rides until a failure is settled', () => {
  it('is to the next place that has it, and beyond it where it has not', () => {
    const costs = costsWith([town(60, 0.5), town(80, 1)])
    const { hours, km } = costs.ridingUntilSettled(['tube-622'])
    const at = (roadKm: number) => nearestNode(costs.grid, roadKm)
    for (const [from, ahead] of [
      [50, 10 + 0.5 * 20],
      [0, 60 + 0.5 * 20],
      // Who stands at a place has not yet looked there.
      [60, 20],
      [80, 20],
      [100, 0],
    ] as const) {
      expect(nth(km, at(from))).toBeCloseTo(ahead, 3)
      expect(nth(hours, at(from))).toBeCloseTo(ahead / 20, 3)
    }
  })
})

describe('a lift', () => {
  const lift = { liftWaitH: 2 }
  it('is waited for, and brings one to the end of the road where that is better than the shop', () => {
    // On foot it is two hours to the shop, which may not have it.
    expect(stuckAt(costsWith([town(60, 0.5)], lift), 50)).toEqual([0, 2])
  })
  it('brings one no farther than to the next place of help, on the better side', () => {
    // From between the towns neither end of the road is reached; the one that has it for sure is.
    const towns = [town(40, 0.01), town(60, 1)]
    expect(stuckAt(costsWith(towns, lift), 50)).toEqual([0, 2])
    expect(stuckAt(costsWith([town(40, 1), town(60, 0.01)], lift), 50)).toEqual([0, 2])
    const [walkH, priceH] = stuckAt(costsWith([town(40, 0.01), town(60, 0.01)], lift), 50)
    // From town it is 40 km on foot to an end, or a lift again is not to be had.
    expect(defined(walkH)).toBeGreaterThan(5)
    expect(defined(priceH)).toBeGreaterThan(2 + 0.9 * stranded.priceH)
  })
  it('is not called where walking costs less', () => {
    expect(stuckAt(costsWith([town(60, 1)], lift), 59)).toEqual(figures(1 / walkKmH, strandedH(1 / walkKmH)))
  })
  it('is called from where a call gets through', () => {
    const silent = (fromKm: number, toKm: number) => ({
      road: {
        points,
        stretches: [{ id: 'silent', fromKm, toKm, surface: 'asphalt', signal: false }],
      },
    })
    const walkH = 5 / walkKmH
    expect(stuckAt(costsWith([], lift, silent(30, 80)), 35)).toEqual(figures(walkH, 2 + strandedH(walkH)))
  })
  it('is none where none is counted on', () => {
    const walkH = 10 / walkKmH
    expect(stuckAt(costsWith([town(60, 1)]), 50)).toEqual(figures(walkH, strandedH(walkH)))
    // Pushed as heavily as the bike goes.
    expect(stuckAt(costsWith([town(60, 1)]), 50, ['tube-622'], 1.2)).toEqual(
      figures(1.2 * walkH, strandedH(1.2 * walkH)),
    )
  })
})

describe('a partner', () => {
  const tyres = { front: { size: '45-622' }, rear: { size: '45-622' } }
  const riders = { bikes: ['one', 'other'].map((id) => ({ id, name: id, tyres })) }
  it('rides for the part and back, and one waits', () => {
    expect(stuckAt(costsWith([town(60, 1)], {}, riders), 50)).toEqual([0, 1])
    expect(stuckAt(costsWith([town(60, 1)], {}, riders), 70)).toEqual([0, 1])
  })
  it('waits for a shop that opens later, beyond what one would wait anyway', () => {
    // One comes by at eleven, and it opens at one; the way on foot has the wait too.
    expect(stuckAt(costsWith([town(60, 1, 'Fr 13:00-20:00')], {}, riders), 50)).toEqual([0, 2])
  })
  it('rides to where it costs least, the way on foot included where it is not to be had', () => {
    expect(stuckAt(costsWith([town(30, 1), town(60, 1)], {}, riders), 50)).toEqual([0, 1])
    expect(stuckAt(costsWith([town(40, 1), town(80, 1)], {}, riders), 50)).toEqual([0, 1])
    const alone = costsWith([town(60, 0.5)])
    const [walkH, priceH] = stuckAt(alone, 50)
    const halfWay = [0.5 * defined(walkH), 1 + 0.5 * (defined(priceH) - strandedH(defined(walkH)))]
    const [byWalk, byPrice] = stuckAt(costsWith([town(60, 0.5)], {}, riders), 50)
    expect(byWalk).toBeCloseTo(nth(halfWay, 0), 2)
    expect(byPrice).toBeCloseTo(nth(halfWay, 1) + strandedH(nth(halfWay, 0)), 2)
  })
  it('fetches no mechanic', () => {
    const walkH = 10 / walkKmH
    expect(stuckAt(costsWith([town(60, 1)], {}, riders), 50, ['mechanic'])).toEqual(
      stuckAt(costsWith([town(60, 1)]), 50, ['mechanic']),
    )
    expect(defined(stuckAt(costsWith([town(60, 1)], {}, riders), 50, ['mechanic'])[0])).toBeGreaterThanOrEqual(
      walkH - 0.01,
    )
  })
})

describe('a big wrench', () => {
  it('is borrowed at the nearest place that lends one, pushed as heavily as the bike goes', () => {
    const lends = (roadKm: number) => ({ ...town(roadKm, 0), bigWrench: true, offRoadM: 500 })
    const costs = costsWith([lends(20), lends(60), town(50, 1)])
    const at = nearestNode(costs.grid, 50)
    expect(nth(defined(costs.toWrench(1)), at)).toBeCloseTo(10.5 / walkKmH, 3)
    expect(nth(defined(costs.toWrench(1.2)), at)).toBeCloseTo((1.2 * 10.5) / walkKmH, 3)
    expect(costsWith([town(50, 1)]).toWrench(1)).toBeNull()
  })
})
