import { bikeFrom, catalogue } from '#catalogue'
import type { BikeTrait } from '#core/bike'
import { failsAgain, grades, slowerWith } from '#core/fix'
import {
  appliesTo,
  bikeFactor,
  treadFactor,
  lifeLeft,
  roadFactor,
  roadTraitsOf,
  wearingParts,
  type Hazard,
  type RoadTrait,
  type WearingHazard,
} from '#core/hazard'
import { defaultTraits } from '#core/road'
import { defined } from '#core/validation'
import { describe, expect, it } from 'vitest'

describe('which bikes something applies to', () => {
  const applies = (all: BikeTrait[], none: BikeTrait[], traits: BikeTrait[]) =>
    appliesTo({ all, none }, new Set(traits))
  it('those that have all of some traits and none of others', () => {
    expect(applies([], [], [])).toBe(true)
    expect(applies(['tubed'], [], ['tubed', 'rack'])).toBe(true)
    expect(applies(['tubed', 'rack'], [], ['tubed'])).toBe(false)
    expect(applies(['tubed'], ['motor'], ['tubed', 'motor'])).toBe(false)
    expect(applies([], ['motor', 'rack'], ['rack'])).toBe(false)
    expect(applies([], ['motor', 'folds'], ['rack'])).toBe(true)
  })
})

describe('the rate of a hazard', () => {
  const hazard: Hazard = {
    ...defined(catalogue.hazards[0]),
    onBike: [
      { when: 'light-tyre', times: 2 },
      { when: 'tubeless', times: 0.5 },
      { when: 'motor', times: 3 },
    ],
    onRoad: [
      { when: 'thorns', times: 4 },
      { when: 'wet', times: 1.5 },
      { when: 'track', times: 2 },
    ],
  }
  it('is multiplied by what is true of the bike, and by nothing else', () => {
    expect(bikeFactor(hazard, new Set(), 1)).toBe(1)
    expect(bikeFactor(hazard, new Set<BikeTrait>(['light-tyre', 'motor']), 1)).toBe(6)
    expect(bikeFactor(hazard, new Set<BikeTrait>(['tubeless', 'rack']), 1)).toBe(0.5)
    // Half the tread: 1 + 2 · 0.5².
    expect(bikeFactor({ ...hazard, onWornTread: 3 }, new Set<BikeTrait>(['motor']), 0.5)).toBe(4.5)
  })
  it('rises with worn tread by the square of what is worn off: little by half, most at the end', () => {
    const worn: Hazard = { ...hazard, onWornTread: 3 }
    const factors = [1, 0.8, 0.5, 0.3, 0].map((left) => treadFactor(worn, left))
    // By hand: 1 + 2 · (1 − left)².
    ;[1, 1.08, 1.5, 1.98, 3].forEach((factor, i) => expect(factors[i]).toBeCloseTo(factor, 12))
    expect(treadFactor({ ...hazard, onWornTread: 1 }, 0.1)).toBe(1)
  })
  it('is multiplied by what is true of the road there', () => {
    expect(roadFactor(hazard, new Set())).toBe(1)
    expect(roadFactor(hazard, new Set<RoadTrait>(['thorns', 'wet', 'track']))).toBe(12)
    expect(roadFactor(hazard, new Set<RoadTrait>(['asphalt']))).toBe(1)
  })
  it('knows of a piece of road its surface, thorns, and whether it is wet of itself or by rain', () => {
    const traits = (more: Partial<typeof defaultTraits>, rain: boolean) =>
      [...roadTraitsOf({ ...defaultTraits, ...more }, rain)].sort()
    expect(traits({}, false)).toEqual(['gravel'])
    expect(traits({ surface: 'sand', thorns: true }, false)).toEqual(['sand', 'thorns'])
    expect(traits({ wet: true }, false)).toEqual(['gravel', 'wet'])
    expect(traits({}, true)).toEqual(['gravel', 'wet'])
    expect(traits({ wet: true }, true)).toEqual(['gravel', 'wet'])
  })
})

describe('what is left of a part', () => {
  it('is as the passport says; lube is always fresh at departure', () => {
    const bike = { ...bikeFrom('gravel', 'b'), padLeft: 0.1, chainLeft: 0.2, sealantLeft: 0.3, cablesLeft: 0.5 }
    const wearing = defined(catalogue.hazards.find((each): each is WearingHazard => each.kind === 'wearing'))
    const left = Object.fromEntries(wearingParts.map((part) => [part, lifeLeft({ ...wearing, part }, bike, 0.4)]))
    expect(left).toEqual({ pads: 0.1, chain: 0.2, sealant: 0.3, tread: 0.4, lube: 1, cables: 0.5 })
  })
})

describe('what a grade of repair still costs', () => {
  it('is less than what it averts, and the more the less it lasts', () => {
    const cost = grades.map((grade) => slowerWith(grade, 1, 0) + failsAgain({ grade }, 100))
    expect([...cost].sort((a, b) => a - b)).toEqual(cost)
    expect(cost.at(-1)).toBeLessThan(1)
  })
  it('is with a make-do at most half of what the failure slows by, where the bike can be ridden with it', () => {
    expect(slowerWith('to the next shop', 0, 0.02)).toBe(0.01)
    expect(slowerWith('to the next shop', 0.9, 0.3)).toBe(0.03)
    expect(slowerWith('to the next shop', 1, 0)).toBe(0.03)
    expect(slowerWith('lasting', 0, 0.02)).toBe(0)
    // Walking pace is what it is.
    expect(slowerWith('walking pace', 0, 0.15)).toBe(0.45)
  })
  it('goes by its grade, or by how far what wears on lasts', () => {
    expect(failsAgain({ grade: 'lasting' }, 500)).toBe(0.01)
    // Half of what lasts 100 km in the mean has failed after 100 km · ln 2.
    expect(failsAgain({ grade: 'lasting', lastsKm: 100 }, 100 * Math.LN2)).toBeCloseTo(0.5, 12)
    expect(failsAgain({ grade: 'to the next shop', lastsKm: 100 }, 0)).toBe(0)
  })
})
