import {
  decant,
  padsLeftAlong,
  sealantLeft,
  sealantMl,
  smallContainers,
  tapeM,
  tapeTurns,
  threadM,
} from '#core/consumables'
import { describe, expect, it } from 'vitest'

describe('sealant', () => {
  it('is 60 mL for a 50-622 and less than in proportion for more air', () => {
    expect(sealantMl(4145)).toBe(60)
    expect(sealantMl(2 * 4145)).toBeCloseTo(60 * 2 ** 0.7, 9)
  })
  it('dries by half in three months, twice as fast for every 10 °C', () => {
    expect(sealantLeft(0)).toBe(1)
    expect(sealantLeft(3)).toBe(0.5)
    expect(sealantLeft(6)).toBe(0.25)
    expect(sealantLeft(3, 25)).toBe(0.25)
    expect(sealantLeft(6, 5)).toBe(0.5)
  })
})

describe('tape and thread', () => {
  it('tape wound on grows by its own thickness: summed turn by turn', () => {
    // Ten turns round 60 mm, each 2π · 0.15 mm … longer by the thickness than the one below: π · 10 · (60 + 3) mm.
    expect(tapeM(10, 60)).toBeCloseTo((Math.PI * 10 * 63) / 1000, 12)
    expect(tapeM(10, 60, 0.1)).toBeCloseTo((Math.PI * 10 * 61) / 1000, 12)
    expect(tapeM(0, 60)).toBe(0)
  })
  it('turns and metres are each other’s reverse', () => {
    for (const turns of [1, 7, 40]) expect(tapeTurns(tapeM(turns, 25, 0.2), 25, 0.2)).toBeCloseTo(turns, 9)
  })
  it('a seam takes a stitch every four millimetres there and back, and 30 cm to begin and end', () => {
    // 25 stitches of 7 mm, twice, and 0.3 m.
    expect(threadM(100)).toBeCloseTo(0.65, 12)
    expect(threadM(97)).toBeCloseTo(0.65, 12)
    expect(threadM(100, 6)).toBeCloseTo(0.8, 12)
  })
})

describe('part of a bottle', () => {
  const names = (ml: number) => decant(ml, 1).containers.map(({ name }) => name)
  it('goes into the lightest container that holds it, or the largest and one more', () => {
    expect(names(0)).toEqual([])
    expect(names(5)).toEqual(['dropper, 5 mL'])
    expect(names(5.1)).toEqual(['dropper, 10 mL'])
    expect(names(120)).toEqual(['bottle, 120 mL'])
    expect(names(121)).toEqual(['bottle, 120 mL', 'dropper, 5 mL'])
    expect(names(250)).toEqual(['bottle, 120 mL', 'bottle, 120 mL', 'dropper, 10 mL'])
  })
  it('weighs the fluid and what it is in', () => {
    expect(decant(10, 0.9)).toMatchObject({ fluidMl: 10, massG: 13.5 })
    expect(decant(125, 1).massG).toBe(22 + 3 + 125)
    expect(decant(0, 1).massG).toBe(0)
  })
  it('takes the lightest of those that hold it, not the smallest', () => {
    const heavy = { name: 'glass', holdsMl: 6, tareG: 50 }
    expect(decant(5.5, 1, [heavy, ...smallContainers]).containers.map(({ name }) => name)).toEqual(['dropper, 10 mL'])
  })
})

describe('pads along a road', () => {
  it('are left by the mean, with a band as wide as a tenth of a chance on either side', () => {
    const [here] = padsLeftAlong(0.8, [{ roadKm: 10, lives: 0.25 }], 0.2)
    // 1.2816 · 0.2 · √0.25 = 0.12816; 1.2816 from tables of the normal distribution.
    expect(here).toEqual({ roadKm: 10, mean: 0.55, low: expect.closeTo(0.42184, 9), high: expect.closeTo(0.67816, 9) })
  })
  it('never grow, and never are less than nothing', () => {
    const [first, last] = padsLeftAlong(
      0.5,
      [
        { roadKm: 0, lives: 0.0001 },
        { roadKm: 90, lives: 3 },
      ],
      0.3,
    )
    expect(first?.high).toBe(0.5)
    expect(first?.low).toBeLessThan(0.5)
    expect(last).toEqual({ roadKm: 90, mean: 0, low: 0, high: 0 })
    const [wide] = padsLeftAlong(0.5, [{ roadKm: 1, lives: 0.45 }], 1)
    expect(wide?.low).toBe(0)
    expect(wide?.high).toBe(0.5)
  })
})
