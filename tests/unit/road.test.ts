import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  climbAlong,
  climbRule,
  filledElevation,
  gapsBetween,
  kmAlong,
  legEdges,
  legsOfGap,
  levelHours,
  naismithHours,
  placeOnRoad,
  positionAt,
  pushOut,
  smoothedElevation,
  surveyRoad,
  valueAt,
  walkGrid,
  walkingMethods,
  type RoadPoint,
} from '../../core/road'
import { seeded } from '../ledgers'

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
    const filled = filledElevation(points, kmAlong(points))!
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
    smooth.forEach((value, i) => expect(value).toBeCloseTo(eleM[i]!, 9))
  })
  it('takes the noise out before climb is summed', () => {
    const random = seeded(3)
    const km = Float64Array.from({ length: 2001 }, (_, i) => i * 0.01)
    const noisy = km.map((at) => 300 + 100 * Math.sin((at * Math.PI) / 10) + (random() - 0.5) * 3)
    const raw = noisy.reduce((sum, eleM, i) => sum + Math.max(0, i ? eleM - noisy[i - 1]! : 0), 0)
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
        const net = heights[last]! - heights[0]!
        expect(there.upM[last]! - there.downM[last]!).toBeCloseTo(net, 9)
        expect(Math.abs(back.upM[last]! - there.downM[last]!)).toBeLessThanOrEqual(6)
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
        all.forEach((value, node) => expect(value).toBeLessThanOrEqual(fewer[node]! + 1e-9))
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
  it('tile the road, and their legs tile the legs', () => {
    const places = fc.array(fc.integer({ min: 0, max: 500 }), { maxLength: 12 })
    fc.assert(
      fc.property(places, places, (offering, others) => {
        const gaps = gapsBetween(offering, 500)
        const edges = legEdges([...offering, ...others], 500)
        expect(gaps.reduce((sum, gap) => sum + gap.km, 0)).toBeCloseTo(500, 9)
        const legs = gaps.flatMap((gap) => legsOfGap(gap, edges))
        expect(legs).toEqual(Array.from({ length: edges.length - 1 }, (_, leg) => leg))
      }),
    )
  })
  it('adding a place never lengthens the longest', () => {
    const longest = (places: number[]) => Math.max(...gapsBetween(places, 300).map((gap) => gap.km))
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 300 })), fc.integer({ min: 0, max: 300 }), (places, one) => {
        expect(longest([...places, one])).toBeLessThanOrEqual(longest(places))
      }),
    )
  })
})

describe('places on the road', () => {
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
