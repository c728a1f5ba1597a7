import { leastAlong, leavingAlong, wayOnFoot, type ChancePlace, type RoadEnd } from '#core/availability'
import { levelHours, nearestNode, type WalkGrid } from '#core/road'
import { nth, numberAt } from '#core/validation'
import { describe, expect, it } from 'vitest'
import { seeded } from '../seeded'

/** A road with a node each km, uphill on the way out: an hour for 4 km ahead, for 5 km back. */
const road: WalkGrid = {
  km: Float64Array.from({ length: 61 }, (_, km) => km),
  aheadH: Float64Array.from({ length: 61 }, (_, km) => km / 4),
  backH: Float64Array.from({ length: 61 }, (_, km) => -km / 5),
  method: 'naismith',
}
const place = (roadKm: number, chance: number, waitH = 0, offRoadM = 0): ChancePlace => ({
  roadKm,
  chance,
  waitH,
  offRoadM,
})
const ends: RoadEnd[] = [0, 60].map((roadKm) => ({ roadKm, offRoadM: 0, priceH: 0 }))
const wayTo = (places: readonly ChancePlace[], exits: readonly RoadEnd[], pushFactor: number) =>
  wayOnFoot(road, places, leavingAlong(road, exits, pushFactor), pushFactor)

describe('the way on foot', () => {
  it('worked by hand: a shop that may have it, and the end behind it', () => {
    // From km 50, 8 km ahead to the shop at 58: 2 h; one time in four on to the end, 2 km: half an hour.
    const way = wayTo([place(58, 0.75, 1.5)], ends, 1)
    // To wait 1.5 h for three chances in four of half an hour spared does not pay: one walks past, 10 km to the end.
    expect(numberAt(way.walkH, 50)).toBeCloseTo(2.5, 12)
    expect(numberAt(way.priceH, 50)).toBe(0)
    const open = wayTo([place(58, 0.75)], ends, 1)
    expect(numberAt(open.walkH, 50)).toBeCloseTo(2 + 0.25 * 0.5, 12)
    // From km 20, back to the start is 4 h; ahead to a shop at 30 that always has it 2.5 h and 0.5 h of waiting.
    const waited = wayTo([place(30, 1, 0.5)], ends, 1)
    expect([numberAt(waited.walkH, 20), numberAt(waited.priceH, 20)]).toEqual([2.5, 0.5])
  })

  it('goes back for a sure place after one ahead has failed, and pushes as slowly as the bike asks', () => {
    // From 30: ahead to 32 (half an hour), half the time back to 25: 7 km, 1.4 h. Straight back it is 1 h.
    const sure = wayTo([place(32, 0.5), place(25, 1)], ends, 2)
    expect(numberAt(sure.walkH, 30)).toBeCloseTo(2 * 1, 12)
    const near = wayTo([place(31, 0.8), place(25, 1)], ends, 2)
    expect(numberAt(near.walkH, 30)).toBeCloseTo(2 * (0.25 + 0.2 * (6 / 5)), 12)
  })

  it('takes an exit where its price is worth it, and names the price apart', () => {
    const way = wayTo([], [...ends, { roadKm: 30, offRoadM: 0, priceH: 3 }], 1)
    expect(numberAt(way.walkH, 31)).toBeCloseTo(1 / 5, 12)
    expect(numberAt(way.priceH, 31)).toBe(3)
    expect([numberAt(way.walkH, 58), numberAt(way.priceH, 58)]).toEqual([0.5, 0])
  })

  it('of two ways is at each node the one that costs less, on foot and in price together', () => {
    const along = (walkH: number[], priceH: number[]) => ({
      walkH: Float64Array.from(walkH),
      priceH: Float64Array.from(priceH),
    })
    // Cheaper by its price, cheaper on foot, dearer by its price alone, as dear: there the first stays.
    const [mine, other] = [along([2, 5, 3, 4], [3, 0, 0, 1]), along([4, 1, 3, 2], [0, 1, 2, 3])]
    const { walkH, priceH } = leastAlong([mine, other], { km: new Float64Array(4) })
    expect([...walkH]).toEqual([4, 1, 3, 4])
    expect([...priceH]).toEqual([0, 1, 0, 1])
  })

  it('is no cliff: a chance a little higher costs a little less', () => {
    const costs = [0.58, 0.59, 0.6, 0.61, 0.62].map((chance) => numberAt(wayTo([place(40, chance)], ends, 1).walkH, 39))
    costs.slice(1).forEach((cost, i) => {
      expect(cost).toBeLessThan(nth(costs, i))
      expect(nth(costs, i) - cost).toBeLessThan(0.03 * cost)
    })
  })

  it('costs what the cheapest plan of all costs, every order of places tried', () => {
    const random = seeded(7)
    for (let i = 0; i < 60; i++) {
      const places = Array.from({ length: 4 }, () =>
        place(
          Math.floor(1 + random() * 59),
          random(),
          random() < 0.3 ? 2 * random() : 0,
          random() < 0.3 ? 3000 * random() : 0,
        ),
      )
      const exits = [...ends, { roadKm: Math.floor(random() * 60), offRoadM: 1000, priceH: 4 * random() }]
      const pushFactor = 1 + random()
      const way = wayTo(places, exits, pushFactor)
      for (const node of [0, 17, 33, 60]) {
        const found = numberAt(way.walkH, node) + numberAt(way.priceH, node)
        expect(found).toBeCloseTo(cheapestPlan(node, places, exits, pushFactor), 9)
      }
    }
  })
})

/** The cheapest of all plans: which place to look in next, or to leave, whatever the order. */
function cheapestPlan(
  node: number,
  places: readonly ChancePlace[],
  exits: readonly RoadEnd[],
  pushFactor: number,
): number {
  const walk = (from: number, roadKm: number) => {
    const to = nearestNode(road, roadKm)
    return pushFactor * Math.abs(to > from ? (to - from) / 4 : (from - to) / 5)
  }
  const aside = (offRoadM: number) => pushFactor * levelHours(offRoadM / 1000, road.method)
  const leave = exits.map(({ roadKm, offRoadM, priceH }) => walk(node, roadKm) + aside(offRoadM) + priceH)
  const look = places.map(({ roadKm, offRoadM, chance, waitH }, i) => {
    const others = places.filter((_, other) => other !== i)
    const failing =
      (1 - chance) * (aside(offRoadM) + cheapestPlan(nearestNode(road, roadKm), others, exits, pushFactor))
    return walk(node, roadKm) + aside(offRoadM) + waitH + failing
  })
  return Math.min(...leave, ...look)
}
