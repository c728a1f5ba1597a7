import { suddenHazardSchema } from '#core/hazard'
import { parseWallClock } from '#core/ride'
import { stretchSchema, surveyRoad } from '#core/road'
import { describe, expect, it } from 'vitest'
import { Conditions, descentAlong } from '../../core/availability/conditions'

describe('what the road and the weather are like along a grid', () => {
  const stretches = [
    stretchSchema.parse({ id: 'thorny', fromKm: 0, toKm: 10, surface: 'asphalt', thorns: true }),
    stretchSchema.parse({ id: 'empty', fromKm: 10, toKm: 20, surface: 'gravel', signal: false, traffic: 'empty' }),
  ]
  const day = (fromKm: number, toKm: number, startsAt: string) => ({
    fromKm,
    toKm,
    startsAt: parseWallClock(startsAt),
    endsAt: parseWallClock(startsAt) + 60,
    ridingH: 1,
    climbM: 0,
  })
  const days = [day(0, 15, '2026-06-12T08:00'), day(15, 20, '2026-06-13T08:00')]
  const weather = { highC: 20, windKmH: 0 }
  const forecast = {
    from: 'a test',
    days: [
      { date: '2026-06-12', lowC: 12, rainMm: 0, ...weather },
      { date: '2026-06-13', lowC: 4, rainMm: 5, ...weather },
    ],
  }
  const km = Float64Array.of(0, 5, 10, 15, 20)
  const downM = Float64Array.of(0, 0, 100, 100, 200)
  const along = (down?: Float64Array) => new Conditions(km, down, stretches, days, forecast)
  const flat = suddenHazardSchema.parse({
    kind: 'sudden',
    id: 'flat',
    name: 'flat',
    applies: {},
    settledBy: 'tube',
    per1000km: 1,
    onRoad: [
      { when: 'thorns', times: 4 },
      { when: 'wet', times: 2 },
    ],
  })
  const steep = { ...flat, byDescent: { share: 0.5, mPerKm: 10 } }

  it('multiplies a rate by what each stretch is like, and by the rain of the day on which one rides it', () => {
    expect([...along().factorsOn(flat)]).toEqual([4, 4, 1, 2])
    expect(along().weightedKm(flat)).toBe(55)
  })
  it('multiplies the share that goes by descent by the metres of each step against the usual, where they are known', () => {
    // 0, 20, 0 and 20 m to the km, of which 10 are usual, for one half of it.
    expect([...along(downM).factorsOn(steep)]).toEqual([4 * 0.5, 4 * 1.5, 0.5, 2 * 1.5])
    expect(along(downM).weightedKm(steep)).toBe(5 * 11.5)
    expect([...along().factorsOn(steep)]).toEqual([4, 4, 1, 2])
    expect([...along(downM).factorsOn(flat)]).toEqual([4, 4, 1, 2])
  })
  it('counts a step without a length as usual', () => {
    const still = new Conditions(
      Float64Array.of(0, 5, 5, 20),
      Float64Array.of(0, 50, 50, 50),
      stretches,
      days,
      forecast,
    )
    expect(still.factorsOn(steep)[1]).toBe(4)
  })
  it('says how many come by, and where a call gets through: at an edge by the better side', () => {
    expect([...along().passersBy()]).toEqual([1, 1, 0.25, 0.25])
    expect(along().signal()).toEqual([true, true, true, false, false])
  })
  it('makes a night dearer by the cold below 10 °C and by rain, from where that day begins', () => {
    const cold = (1 + 0.05 * 6) * 1.3
    expect([...along().nightFactors()]).toEqual([1, 1, 1, cold, cold])
  })
  it('leaves the weather out where nobody knows the days, and says nothing of a road without a length', () => {
    const undated = new Conditions(km, undefined, stretches, [], forecast)
    expect([...undated.nightFactors()]).toEqual([1, 1, 1, 1, 1])
    expect([...undated.factorsOn(flat)]).toEqual([4, 4, 1, 1])
    const nowhere = new Conditions(Float64Array.of(0), undefined, [], [], forecast)
    expect([...nowhere.nightFactors()]).toEqual([1])
    expect(nowhere.signal()).toEqual([false])
    expect([...nowhere.passersBy()]).toEqual([])
  })
  it('takes metres descended from the heights of the road, and none where there are none', () => {
    const road = surveyRoad([
      [0, 0, 100],
      [0, 0.01, 40],
      [0, 0.02, 70],
    ])
    const grid = { km: Float64Array.of(0, road.lengthKm / 2, road.lengthKm) }
    const [, half, all] = descentAlong(grid, road) ?? []
    expect(half).toBeGreaterThan(55)
    expect(half).toBeLessThanOrEqual(60)
    expect(all).toBe(road.downM.at(-1))
    const level = surveyRoad([
      [0, 0, null],
      [0, 0.01, null],
    ])
    expect(descentAlong(grid, level)).toBeUndefined()
  })
})
