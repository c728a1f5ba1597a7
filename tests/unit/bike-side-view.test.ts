import { defined, nth } from '#core/validation'
import { bikeKinds, type BikePart } from '#core/bike'
import { bikeFrom } from '#catalogue'
import { describe, expect, it } from 'vitest'
import { bikeSideView } from '../../app/drawing/bike-side-view'

describe('the picture of a bike', () => {
  it.each(bikeKinds)('%s: shows every part that has a fastener, within its frame', (kind) => {
    const bike = bikeFrom(kind, kind)
    const { frame, parts } = bikeSideView(bike)
    const drawn = new Set(parts.map(({ part }) => part))
    for (const { part, name } of bike.fasteners) expect(drawn, name).toContain(part)
    expect(drawn.size).toBe(parts.length)
    const [left, top, width, height] = frame
    for (const { at, part, strokes } of parts) {
      expect(strokes.length, part).toBeGreaterThan(0)
      expect(at[0], part).toBeGreaterThan(left)
      expect(at[0], part).toBeLessThan(left + width)
      expect(at[1], part).toBeGreaterThan(top)
      expect(at[1], part).toBeLessThan(top + height)
      for (const { path } of strokes) expect(path, part).not.toMatch(/NaN|Infinity/)
    }
  })
  it('follows the proportions: wheels from their tyres, axles the wheelbase apart', () => {
    const folder = bikeSideView(bikeFrom('folder', 'f'))
    const at = (part: BikePart) => defined(folder.parts.find((drawn) => drawn.part === part)).at
    expect(at('front hub')[0] - at('rear hub')[0]).toBe(bikeFrom('folder', 'f').frame.wheelbaseMm)
    const rim = nth(defined(folder.parts.find(({ part }) => part === 'rear tyre')).strokes, 0)
    expect(rim.widthMm).toBe(40)
    expect(rim.path).toContain((406 / 2 + 20).toFixed(1))
  })
  it('shows only what is there', () => {
    const drawn = (change: object) =>
      bikeSideView({ ...bikeFrom('tourer', 't'), ...change }).parts.map(({ part }) => part)
    expect(drawn({})).toContain('rack')
    expect(drawn({ racks: { front: false, rear: false }, mudguards: false })).not.toContain('rack')
    expect(drawn({ mudguards: false })).not.toContain('mudguards')
    expect(drawn({ gears: 'single' })).not.toContain('derailleur')
    expect(drawn({ brakes: 'cable-disc' })).toContain('rear rotor')
    expect(drawn({})).not.toContain('rear rotor')
  })
})
