import { Fault } from '../validation'

/**
 * The most crossings a wheel of so many holes can have: a spoke must leave its flange at less than a
 * right angle to the radius, or it lies across its neighbour's head.
 * Source: geometry, crossings · 720° / holes < 90°.
 */
export function mostCrossings(holes: number): number {
  return Math.ceil(holes / 8) - 1
}

/** What the length of a spoke hangs on. */
export interface SpokeGeometry {
  readonly erdMm: number
  /** Pitch circle of the spoke holes, mm. */
  readonly flangeMm: number
  /** From the middle of the hub to the flange, mm. */
  readonly offsetMm: number
  readonly crossings: number
  /** Holes of the whole wheel. */
  readonly holes: number
  readonly spokeHoleMm: number
}

/**
 * Length of a spoke from the bend to the end of its thread, mm.
 *
 * L = √(R² + r² + o² − 2·R·r·cos(720° · crossings / holes)) − half a spoke hole,
 * with R the radius to the nipple seats and r that of the flange.
 *
 * @throws Fault where no wheel can be laced so
 * Source: J. Brandt, "The Bicycle Wheel" (1981), equation for spoke length; checked against the geometry in space.
 */
export function spokeLengthMm(geometry: SpokeGeometry): number {
  const { erdMm, flangeMm, offsetMm, crossings, holes, spokeHoleMm } = geometry
  if (holes < 8 || holes % 2 !== 0) throw new Fault('spokes', `${holes}`, 'an even number of 8 or more')
  if (crossings < 0 || crossings > mostCrossings(holes)) {
    throw new Fault(
      'crossings',
      `${crossings} on a wheel of ${holes}`,
      `from 0 to ${mostCrossings(holes)}, or a spoke lies across its neighbour's head`,
    )
  }
  const rim = erdMm / 2
  const flange = flangeMm / 2
  if (flange >= rim) throw new Fault('flange', `${flangeMm} mm`, `less than the rim's ${erdMm} mm`)
  const angle = (4 * Math.PI * crossings) / holes
  return Math.sqrt(rim ** 2 + flange ** 2 + offsetMm ** 2 - 2 * rim * flange * Math.cos(angle)) - spokeHoleMm / 2
}
