import { beadDiametersMm, readTyreSize, tyreSizeOf } from '#core/bike'
import { describe, expect, it } from 'vitest'

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
    [' 47 – 507 ', 47, 507],
    ['50 × 622', 50, 622],
    // Widths there are: 18 to 135 mm.
    ['18-622', 18, 622],
    ['135-559', 135, 559],
  ])('%s', (marking, widthMm, beadMm) => expect(readTyreSize(marking)).toEqual({ widthMm, beadMm }))

  it.each([
    ...['50', '50-623', '50-621', '50 622', '622-50', '-50-622', '0-622', '5-622', '17-622', '136-622'],
    ...['28x7', '29 × 22', '30 × 2.25', '13 x 2.0', '26 x 1 3/8', '28 x 1 3/8'],
    ...['700C', '700x40A', '700x40B', '650x47C', '', 'abc'],
  ])('“%s” is no such marking, and is named where it stands', (marking) => {
    expect(readTyreSize(marking)).toBeUndefined()
    expect(() => tyreSizeOf(marking, 'the tyre')).toThrow(`the tyre: “${marking}”`)
  })

  // What is written on the side beside the marking of ISO 5775; common practice, no source.
  it.each([
    ['29 × 2.25', 57, 622],
    ['29x2.25"', 57, 622],
    ['28 x 1.75', 44, 622],
    ['27.5 x 2.4', 61, 584],
    ['26 x 1,95', 50, 559],
    ['20 × 1.75', 44, 406],
    ['700x40C', 40, 622],
    ['700 × 28', 28, 622],
    ['650x47b', 47, 584],
  ])('“%s” is %i-%i', (marking, widthMm, beadMm) => expect(readTyreSize(marking)).toEqual({ widthMm, beadMm }))

  it('knows the beads of road, mountain and small wheels', () => {
    for (const bead of [622, 584, 559, 507, 451, 406, 349, 305]) expect(beadDiametersMm).toContain(bead)
  })
})
