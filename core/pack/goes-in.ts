import type { Storage } from '../bike'
import type { PackPiece } from './problem'

/** Why something does not go into a place, whatever else is in it; nothing where it does. */
export type Misfit = 'too long' | 'too thick' | 'too large'

/** Rounding, not a piece that is too large. */
export const roundingMl = 1e-6

/** Whether something goes into a place by its own shape. */
export function misfitOf(
  { longestMm, boreMm, volumeMl }: Pick<PackPiece, 'longestMm' | 'boreMm' | 'volumeMl'>,
  place: Pick<Storage, 'longestMm' | 'boreMm'>,
  roomMl: number,
): Misfit | undefined {
  if (longestMm > place.longestMm) return 'too long'
  if (place.boreMm !== null && (boreMm === null || boreMm > place.boreMm)) return 'too thick'
  return volumeMl > roomMl + roundingMl ? 'too large' : undefined
}
