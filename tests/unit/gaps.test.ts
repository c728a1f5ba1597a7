import { gapsBetween, legEdges, pushOut, surveyRoad, walkGrid, levelHours, type RoadPoint } from '#core/road'
import { nth } from '#core/validation'
import { describe, expect, it } from 'vitest'

/** A level road due east along the equator, a point a kilometre. */
const kmOfDegree = (Math.PI * 6378.137) / 180
const level = (lengthKm: number): RoadPoint[] => Array.from({ length: lengthKm + 1 }, (_, i) => [0, i / kmOfDegree, 0])

describe('gaps', () => {
  it('begin at the start, end at the end, and part where the class is to be had', () => {
    expect(gapsBetween([], 100)).toEqual([{ fromKm: 0, toKm: 100, km: 100 }])
    expect(gapsBetween([70, 30, 70], 100)).toEqual([
      { fromKm: 0, toKm: 30, km: 30 },
      { fromKm: 30, toKm: 70, km: 40 },
      { fromKm: 70, toKm: 100, km: 30 },
    ])
  })
  it('are not parted by what lies at either end, to the metre, or beyond', () => {
    expect(gapsBetween([-5, 0, 0.001, 99.999, 100, 120], 100)).toHaveLength(1)
    expect(gapsBetween([0.002, 99.998], 100).map(({ km }) => km)).toHaveLength(3)
  })
  it('part it into legs between start, stops and end, in their order', () => {
    const edges = legEdges([50, 20, 80], 100)
    expect(edges).toEqual([0, 20, 50, 80, 100])
  })
})

describe('the walk to help', () => {
  const survey = surveyRoad(level(10))
  const grid = walkGrid(survey, [2.5, 7.3, -1, 11], 'naismith')
  const at = (km: number) => grid.km.findIndex((each) => Math.abs(each - km) < 1e-9)
  const hours = (km: number) => levelHours(km, 'naismith')
  const help = (roadKm: number, offRoadM = 0, extraH = 0) => ({ roadKm, offRoadM, extraH })

  it('is worked out at the places asked for, at both ends, and closely between', () => {
    expect(grid.km[0]).toBe(0)
    expect(grid.km[grid.km.length - 1]).toBe(survey.lengthKm)
    expect(at(2.5)).toBeGreaterThan(0)
    expect(at(7.3)).toBeGreaterThan(0)
    // 801 evenly spaced ones, of which 2.5 km is one by itself.
    expect(grid.km.length).toBeGreaterThanOrEqual(802)
    expect(Math.min(...grid.km)).toBe(0)
    expect(Math.max(...grid.km)).toBe(survey.lengthKm)
  })
  it('goes on or back, whichever is sooner, and names where to', () => {
    const out = pushOut(grid, [help(7.3), help(0)], 1)
    const node = at(2.5)
    expect(out.hours[node]).toBeCloseTo(hours(2.5), 6)
    expect(out.to[node]).toBe(1)
    expect(out.back.hours[node]).toBeCloseTo(hours(2.5), 6)
    expect(out.back.to[node]).toBe(1)
    expect(out.ahead.hours[node]).toBeCloseTo(hours(4.8), 6)
    expect(out.ahead.to[node]).toBe(0)
    const far = at(7.3)
    expect(out.hours[far]).toBeCloseTo(0, 9)
    expect(out.to[far]).toBe(0)
  })
  it('is nowhere ahead of the last place, nor behind the first', () => {
    const out = pushOut(grid, [help(2.5)], 1)
    expect(out.ahead.hours[at(7.3)]).toBe(Infinity)
    expect(out.ahead.to[at(7.3)]).toBe(-1)
    expect(out.back.hours[0]).toBe(Infinity)
    expect(out.back.to[0]).toBe(-1)
    expect(pushOut(grid, [], 1).hours[at(2.5)]).toBe(Infinity)
  })
  it('is so many times longer with a bike, the way off the road too, but not the wait', () => {
    const out = pushOut(grid, [help(0, 1000, 2)], 1.5)
    expect(out.hours[at(2.5)]).toBeCloseTo(1.5 * (hours(2.5) + hours(1)) + 2, 6)
  })
  it('of two that are as near goes to the one named first, behind before ahead', () => {
    const twins = pushOut(grid, [help(0, 500), help(0, 500)], 1)
    expect(twins.to[at(2.5)]).toBe(0)
    const middle = walkGrid(survey, [4], 'naismith')
    const node = middle.km.findIndex((km) => km === 4)
    const either = pushOut(middle, [help(7), help(1)], 1)
    expect(nth([either.back.to[node], either.ahead.to[node]], 0)).toBe(1)
    expect(either.hours[node]).toBeCloseTo(hours(3), 6)
  })
})
