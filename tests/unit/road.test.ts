import { defined, nth, numberAt } from '#core/validation'
import {
  climbAlong,
  climbRule,
  filledElevation,
  gapsBetween,
  geodesicM,
  kmAlong,
  legEdges,
  levelHours,
  naismithHours,
  passesOnRoad,
  placeOnRoad,
  positionAt,
  pushOut,
  smoothedElevation,
  surveyRoad,
  valueAt,
  walkGrid,
  walkingMethods,
  type RoadPoint,
} from '#core/road'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../seeded'

/** A road due east along the equator, a point a kilometre, at the given heights. */
const kmOfDegree = (Math.PI * 6378.137) / 180
const eastward = (heights: (number | null)[]): RoadPoint[] => heights.map((eleM, i) => [0, i / kmOfDegree, eleM])
const hilly = (points: number, seed = 1): RoadPoint[] => {
  const random = seeded(seed)
  let eleM = 500
  return eastward(Array.from({ length: points }, () => (eleM = Math.max(0, eleM + (random() - 0.5) * 160))))
}

describe('elevation', () => {
  it('fills holes in straight lines, and the ends with the nearest height', () => {
    const points = eastward([null, 100, null, null, 160, null])
    const filled = defined(filledElevation(points, kmAlong(points)))
    for (const [i, eleM] of [100, 100, 120, 140, 160, 160].entries()) expect(filled[i]).toBeCloseTo(eleM, 6)
  })
  it('is unknown when no point has any', () => {
    const points = eastward([null, null])
    expect(filledElevation(points, kmAlong(points))).toBeNull()
    expect(surveyRoad(points).climbM).toBeNull()
  })
  it('a mean over a window leaves a steady slope as it is', () => {
    const km = Float64Array.from({ length: 101 }, (_, i) => i * 0.02)
    const eleM = km.map((at) => 100 + 80 * at)
    const smooth = smoothedElevation(eleM, km, climbRule.windowM)
    smooth.forEach((value, i) => expect(value).toBeCloseTo(numberAt(eleM, i), 9))
  })
  it('takes the noise out before climb is summed', () => {
    const random = seeded(3)
    const km = Float64Array.from({ length: 2001 }, (_, i) => i * 0.01)
    const noisy = km.map((at) => 300 + 100 * Math.sin((at * Math.PI) / 10) + (random() - 0.5) * 3)
    const raw = noisy.reduce((sum, eleM, i) => sum + Math.max(0, i ? eleM - numberAt(noisy, i - 1) : 0), 0)
    const { upM } = climbAlong(smoothedElevation(noisy, km, climbRule.windowM), climbRule.thresholdM)
    expect(raw).toBeGreaterThan(800)
    // Up 100 m to km 5, down to km 15, up again to km 20: 200 m.
    expect(upM[2000]).toBeGreaterThan(190)
    expect(upM[2000]).toBeLessThan(212)
  })
  it('counts rises from the threshold on', () => {
    const { upM, downM } = climbAlong(Float64Array.from([100, 102, 100, 102, 101, 150, 149, 90]), 3)
    expect(upM[7]).toBeCloseTo(50, 9)
    expect(downM[7]).toBeCloseTo(60, 9)
  })
  it('climbs backwards what it descended forwards', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 2, maxLength: 60 }), (heights) => {
        const there = climbAlong(Float64Array.from(heights), 3)
        const back = climbAlong(Float64Array.from([...heights].reverse()), 3)
        const last = heights.length - 1
        const net = nth(heights, last) - nth(heights, 0)
        expect(numberAt(there.upM, last) - numberAt(there.downM, last)).toBeCloseTo(net, 9)
        expect(Math.abs(numberAt(back.upM, last) - numberAt(there.downM, last))).toBeLessThanOrEqual(6)
      }),
    )
  })
})

describe('push-out', () => {
  const noExtra = (roadKm: number, offRoadM = 0) => ({ roadKm, offRoadM, extraH: 0 })

  it('on the level is the distance to the nearer help by Naismith, times the push factor', () => {
    const survey = surveyRoad(eastward(Array(101).fill(50)))
    const helps = [noExtra(0), noExtra(40), noExtra(100, 2000)]
    const grid = walkGrid(survey, [40], 'naismith')
    const { hours, to } = pushOut(grid, helps, 1.2)
    const at = (km: number) => valueAt(grid.km, hours, km)
    expect(at(10)).toBeCloseTo(1.2 * naismithHours(10, 0), 6)
    expect(at(33)).toBeCloseTo(1.2 * naismithHours(7, 0), 6)
    expect(at(90)).toBeCloseTo(1.2 * naismithHours(12, 0), 6)
    expect(to[0]).toBe(0)
    expect(to[grid.km.length - 1]).toBe(2)
  })

  it('is the least over all helps, as trying each of them says', () => {
    const survey = surveyRoad(hilly(81, 5))
    for (const method of walkingMethods) {
      const helps = [noExtra(3), noExtra(22.5, 900), { ...noExtra(41), extraH: 4 }, noExtra(77)]
      const grid = walkGrid(
        survey,
        helps.map((help) => help.roadKm),
        method,
      )
      const { hours } = pushOut(grid, helps, 1.15)
      const walk = (fromKm: number, toKm: number) =>
        toKm >= fromKm
          ? valueAt(grid.km, grid.aheadH, toKm) - valueAt(grid.km, grid.aheadH, fromKm)
          : valueAt(grid.km, grid.backH, fromKm) - valueAt(grid.km, grid.backH, toKm)
      grid.km.forEach((km, node) => {
        const each = helps.map(
          (help) => 1.15 * (walk(km, help.roadKm) + levelHours(help.offRoadM / 1000, method)) + help.extraH,
        )
        expect(hours[node]).toBeCloseTo(Math.min(...each), 9)
      })
    }
  })

  it('never grows when a help is added', () => {
    const survey = surveyRoad(hilly(61, 9))
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 1, maxLength: 6 }), (places) => {
        const grid = walkGrid(survey, [], 'tobler')
        const all = pushOut(
          grid,
          places.map((km) => noExtra(km)),
          1.15,
        ).hours
        const fewer = pushOut(
          grid,
          places.slice(1).map((km) => noExtra(km)),
          1.15,
        ).hours
        all.forEach((value, node) => expect(value).toBeLessThanOrEqual(numberAt(fewer, node) + 1e-9))
      }),
      { numRuns: 40 },
    )
  })
})

describe('gaps', () => {
  it('run from the start to each place that offers, and to the end', () => {
    expect(gapsBetween([62, 20], 100).map(({ fromKm, toKm }) => [fromKm, toKm])).toEqual([
      [0, 20],
      [20, 62],
      [62, 100],
    ])
    expect(gapsBetween([], 100)).toEqual([{ fromKm: 0, toKm: 100, km: 100 }])
    expect(gapsBetween([0, 100], 100)).toHaveLength(1)
  })
  it('tile the road, and lie between the edges of its legs', () => {
    const places = fc.array(fc.integer({ min: 0, max: 500 }), { maxLength: 12 })
    fc.assert(
      fc.property(places, places, (offering, others) => {
        const gaps = gapsBetween(offering, 500)
        const edges = legEdges([...offering, ...others], 500)
        expect(gaps.reduce((sum, gap) => sum + gap.km, 0)).toBeCloseTo(500, 9)
        for (const { fromKm, toKm } of gaps) expect(edges).toEqual(expect.arrayContaining([fromKm, toKm]))
      }),
    )
  })
  it('adding a place never lengthens the longest', () => {
    const longest = (places: number[]) => Math.max(...gapsBetween(places, 300).map((gap) => gap.km))
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 300 })), fc.integer({ min: 0, max: 300 }), (places, another) => {
        expect(longest([...places, another])).toBeLessThanOrEqual(longest(places))
      }),
    )
  })
})

describe('climb by hand', () => {
  const climbs = (heights: number[], thresholdM = 3) => {
    const { upM, downM } = climbAlong(Float64Array.from(heights), thresholdM)
    return [[...upM], [...downM]]
  }
  it.each<[string, number[], number[], number[]]>([
    ['a wobble on the way up adds nothing', [0, 10, 8, 20], [0, 10, 10, 20], [0, 0, 0, 0]],
    ['a dip of the threshold counts', [0, 10, 7, 20], [0, 10, 10, 23], [0, 0, 3, 3]],
    ['a hump of the threshold on the way down counts', [20, 10, 13, 0], [0, 0, 3, 3], [0, 10, 10, 23]],
    ['a hump below it does not', [20, 10, 12, 0], [0, 0, 0, 0], [0, 10, 10, 20]],
    ['wobble alone comes to the difference of its ends', [0, 2, 0, 1], [0, 1, 1, 1], [0, 0, 0, 0]],
    ['a dip before the first climb counts from its bottom', [5, 3, 9], [0, 0, 6], [0, 2, 2]],
    ['level is neither', [7, 7, 7], [0, 0, 0], [0, 0, 0]],
    ['a tail down after the last summit', [0, 10, 9], [0, 10, 10], [0, 0, 1]],
    ['a tail up after the last hollow', [10, 0, 2], [0, 0, 2], [0, 10, 10]],
  ])('%s', (_, heights, up, down) => {
    expect(climbs(heights)).toEqual([up, down])
  })

  /**
   * By another way: the most that any choice of turning points comes to, of which no two neighbours between the ends
   * differ by less than the threshold, and a single one differs by as much from one of the ends.
   */
  function mostClimbAndDescent(heights: readonly number[], thresholdM: number): number {
    const between = (i: number, j: number) => Math.abs(nth(heights, j) - nth(heights, i))
    const last = heights.length - 1
    let most = between(0, last)
    /** The most from the start to each point as one turning point of several. */
    const reached: number[] = []
    for (let j = 1; j < last; j++) {
      const [first, then] = [between(0, j), between(j, last)]
      if (Math.max(first, then) >= thresholdM) most = Math.max(most, first + then)
      reached[j] = -Infinity
      for (let i = 1; i < j; i++) {
        if (between(i, j) < thresholdM) continue
        reached[j] = Math.max(nth(reached, j), Math.max(between(0, i), nth(reached, i)) + between(i, j))
      }
      most = Math.max(most, nth(reached, j) + then)
    }
    return most
  }
  it('and descent are the most that turning points come to which stand out by the threshold', () => {
    const heights = fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 2, maxLength: 40 })
    fc.assert(
      fc.property(heights, fc.integer({ min: 1, max: 6 }), (list, thresholdM) => {
        const [up = [], down = []] = climbs(list, thresholdM)
        const [upM = 0, downM = 0] = [up.at(-1), down.at(-1)]
        expect(upM + downM).toBe(mostClimbAndDescent(list, thresholdM))
        expect(upM - downM).toBe(nth(list, list.length - 1) - nth(list, 0))
        for (const row of [up, down]) expect(row).toEqual([...row].sort((a, b) => a - b))
      }),
      { numRuns: 3000 },
    )
  })
})

describe('places on the road', () => {
  it('lie where the nearest of very many points of the line lies, at any latitude and across the 180° meridian', () => {
    const random = seeded(11)
    for (let road = 0; road < 40; road++) {
      const [lat0, lon0] = [(random() - 0.5) * 150, random() < 0.3 ? 179.99 : (random() - 0.5) * 360]
      const around = (km: number): [number, number] => {
        const lat = lat0 + ((random() - 0.5) * km) / 111
        const lon = lon0 + ((random() - 0.5) * km) / 111 / Math.cos((lat0 * Math.PI) / 180)
        return [lat, lon > 180 ? lon - 360 : lon]
      }
      const points = Array.from({ length: 6 }, (): RoadPoint => [...around(8), null])
      const survey = surveyRoad(points)
      const [lat, lon] = around(10)
      const found = placeOnRoad(points, survey, lat, lon)
      let leastM = Infinity
      for (let step = 0; step <= 2000; step++) {
        const at = positionAt(points, survey, (survey.lengthKm * step) / 2000)
        leastM = Math.min(leastM, geodesicM(lat, lon, at.lat, at.lon))
      }
      expect(found.offRoadM).toBeGreaterThan(leastM - 30)
      expect(found.offRoadM).toBeLessThan(leastM + 15)
      const there = positionAt(points, survey, found.roadKm)
      expect(geodesicM(lat, lon, there.lat, there.lon)).toBeCloseTo(found.offRoadM, 0)
    }
  })
  it('are so far off a line that is a single place as they are from it', () => {
    const still: RoadPoint[] = [
      [50, 10, null],
      [50, 10, null],
    ]
    const { roadKm, offRoadM } = placeOnRoad(still, surveyRoad(still), 50.01, 10)
    expect(roadKm).toBe(0)
    expect(offRoadM).toBeCloseTo(geodesicM(50, 10, 50.01, 10), 6)
  })
  it('are passed as often as the line comes about as near, and once where it lingers', () => {
    // Ten kilometres out along the equator and back again 100 m farther north.
    const out = eastward(Array(11).fill(0))
    const back = [...out].reverse().map(([, lon, ele]): RoadPoint => [0.1 / 110.574, lon, ele])
    const points = [...out, ...back]
    const survey = surveyRoad(points)
    const passes = (lat: number, km: number) => passesOnRoad(points, survey, lat, km / kmOfDegree)
    expect(passes(0, 4).map(({ roadKm }) => Math.round(roadKm))).toEqual([4, 16])
    expect(passes(0, 4).map(({ offRoadM }) => Math.round(offRoadM))).toEqual([0, 100])
    // At the turn the two passes lie less than a kilometre apart.
    expect(passes(0, 9.8)).toHaveLength(1)
    expect(passes(0, 9.8)[0]?.offRoadM).toBeCloseTo(0, 0)
    // The way back, 400 m farther off than the way out, is another road's business.
    const wide = [...out, ...[...out].reverse().map(([, lon, ele]): RoadPoint => [0.4 / 110.574, lon, ele])]
    expect(passesOnRoad(wide, surveyRoad(wide), 0, 4 / kmOfDegree)).toHaveLength(1)
  })
  it('a position off the line finds the nearest point of it', () => {
    const points = eastward(Array(21).fill(0))
    const survey = surveyRoad(points)
    const { roadKm, offRoadM } = placeOnRoad(points, survey, 0.009, 7.25 / kmOfDegree)
    expect(roadKm).toBeCloseTo(7.25, 3)
    expect(offRoadM).toBeCloseTo(0.009 * 110574, -1) // a degree of latitude at the equator is 110.574 km (WGS 84)
  })
  it('there and back again: the position at a place is placed there', () => {
    const points: RoadPoint[] = [
      [10, 179.9, 0],
      [10.05, -179.95, 0],
      [10.2, -179.8, 0],
    ]
    const survey = surveyRoad(points)
    for (const km of [0, 5, 12.5, survey.lengthKm]) {
      const { lat, lon } = positionAt(points, survey, km)
      expect(placeOnRoad(points, survey, lat, lon).roadKm).toBeCloseTo(km, 2)
    }
    expect(survey.lengthKm).toBeLessThan(45)
  })
})
