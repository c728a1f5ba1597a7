import { describe, expect, it } from 'vitest'
import { beadDiametersMm, readTyreSize } from '../../core/bike'

describe('tyre markings', () => {
  // ISO 5775-1: width-bead, with the bead seat diameters of usual sizes; the list is from memory.
  it.each([
    ['37-622', 37, 622],
    ['50-584', 50, 584],
    ['54-559', 54, 559],
    ['47-507', 47, 507],
    ['40-406', 40, 406],
    ['35-349', 35, 349],
    ['32-630', 32, 630],
    [' 100-559 ', 100, 559],
  ])('%s', (marking, widthMm, beadMm) => expect(readTyreSize(marking)).toEqual({ widthMm, beadMm }))

  it.each(['50', '50-623', '622-50', '28x1.75', '', '5-622', 'abc'])('%s is no such marking', (marking) => {
    expect(readTyreSize(marking)).toBeUndefined()
  })

  it('knows the beads of road, mountain and small wheels', () => {
    for (const bead of [622, 584, 559, 507, 451, 406, 349, 305]) expect(beadDiametersMm).toContain(bead)
  })
})
