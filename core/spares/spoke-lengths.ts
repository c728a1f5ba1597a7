import { nth } from '../validation'
import type { WantedSpoke } from '../bike'
import { minimumWeightCover } from '../maths'

/** How far from its own length a spoke may be. Planning values: the thread of a nipple forgives little. */
export const spokeTolerance = { shorterMm: 2, longerMm: 1 }
export type SpokeTolerance = typeof spokeTolerance

/** A length to carry, and the sides it serves. */
export interface CarriedLength {
  readonly lengthMm: number
  readonly serves: readonly string[]
}

/** Whether a spoke of a length can be laced in where another is wanted. */
export function spokeServes(carriedMm: number, wantedMm: number, tolerance: SpokeTolerance = spokeTolerance): boolean {
  return carriedMm >= wantedMm - tolerance.shorterMm - 1e-9 && carriedMm <= wantedMm + tolerance.longerMm + 1e-9
}

/**
 * The fewest lengths, in whole millimetres, that serve every side of every wheel; of two sets of as many the
 * one that lies closer. Proved by an exact set cover.
 *
 * @param wanted lengths of 60 to 350 mm
 */
export function fewestLengths(wanted: readonly WantedSpoke[], tolerance = spokeTolerance): CarriedLength[] {
  if (wanted.length === 0) return []
  const lengths = new Set<number>()
  for (const { lengthMm } of wanted) {
    const from = Math.ceil(lengthMm - tolerance.shorterMm - 1e-9)
    for (let mm = from; mm <= lengthMm + tolerance.longerMm + 1e-9; mm++) lengths.add(mm)
  }
  const candidates = [...lengths].sort((a, b) => a - b)
  const sets = candidates.map((mm) => ({
    covers: wanted.flatMap((side, i) => (spokeServes(mm, side.lengthMm, tolerance) ? [i] : [])),
    weight: 1,
  }))
  /** Of the lengths picked the one that lies closest to a side, of those that serve it. */
  const closest = (picked: readonly number[], side: WantedSpoke) =>
    picked
      .map((i) => nth(candidates, i))
      .filter((mm) => spokeServes(mm, side.lengthMm, tolerance))
      .reduce((a, b) => (Math.abs(b - side.lengthMm) < Math.abs(a - side.lengthMm) ? b : a))
  const off = (picked: readonly number[]) =>
    wanted.reduce((sum, side) => sum + Math.abs(closest(picked, side) - side.lengthMm), 0)
  const cover = minimumWeightCover(wanted.length, sets, off)
  // Where the tolerance leaves no whole millimetre for a side, that side is left over.
  if (!cover) throw new RangeError('a tolerance of less than a millimetre leaves no length')
  return cover.map((i) => ({
    lengthMm: nth(candidates, i),
    serves: wanted.filter((side) => closest(cover, side) === candidates[i]).map(({ id }) => id),
  }))
}
