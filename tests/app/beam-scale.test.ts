import { describe, expect, it } from 'vitest'
import { beamScale } from '../../app/drawing/beam-scale'

describe('the scale of beams', () => {
  const beams = [
    { priceH: 0.2, hours: 5 },
    { priceH: 1.4, hours: 0.3 },
    { priceH: 0.01, hours: 0 },
  ]
  const { left, lengthOf } = beamScale(beams)
  it('draws what is heavier longer, to whichever side', () => {
    const sides = beams.flatMap(({ priceH, hours }) => [priceH, hours]).sort((a, b) => a - b)
    const lengths = sides.map(lengthOf)
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b))
    expect(new Set(lengths).size).toBe(sides.length)
  })
  it('has room for the longest bar of both sides, to the end of one', () => {
    for (const list of [beams, [{ priceH: 9, hours: 0.1 }], [{ priceH: 0.001, hours: 60 }], []]) {
      const scale = beamScale(list)
      const price = Math.max(0, ...list.map(({ priceH }) => scale.lengthOf(priceH)))
      const spared = Math.max(0, ...list.map(({ hours }) => scale.lengthOf(hours)))
      expect(price).toBeLessThanOrEqual(scale.left + 1e-12)
      expect(spared).toBeLessThanOrEqual(1 - scale.left + 1e-12)
      if (list.length > 0) expect(Math.max(price / scale.left, spared / (1 - scale.left))).toBeCloseTo(1, 12)
    }
  })
  it('keeps some of the beam for either side', () => {
    expect(left).toBeGreaterThanOrEqual(0.3)
    expect(beamScale([{ priceH: 9, hours: 0 }]).left).toBe(0.7)
    expect(beamScale([{ priceH: 0, hours: 9 }]).left).toBe(0.3)
  })
  it('shows minutes beside hours, and nothing of what weighs nothing or less', () => {
    expect(lengthOf(2 / 60)).toBeGreaterThan(0.05)
    expect([lengthOf(0), lengthOf(-1)]).toEqual([0, 0])
    expect(beamScale([{ priceH: 0, hours: 0.001 }]).lengthOf(0.001), 'what hardly weighs').toBeLessThan(0.2)
  })
})
