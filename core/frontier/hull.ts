import { nth } from '../validation'

/** A kit, by what it weighs and what it still loses. */
export interface Traded {
  readonly massG: number
  readonly promiseH: number
}

/** Kits between which less than this is lost, h, lose the same. */
const sameH = 1e-9

/**
 * The kits that some price of a gram makes the best: the lower left of the convex hull of all, from the lightest to the one
 * that loses least. Each loses less than the one before, and spares less for each gram more.
 *
 * The monotone chain of A. M. Andrew, "Another efficient algorithm for convex hulls in two dimensions", Information Processing
 * Letters 9 (1979).
 */
export function supported<T extends Traded>(kits: readonly T[]): T[] {
  const sorted = [...kits].sort((a, b) => a.massG - b.massG || a.promiseH - b.promiseH)
  const hull: T[] = []
  for (const kit of sorted) {
    const last = hull.at(-1)
    if (last && kit.promiseH > last.promiseH - sameH) continue
    while (hull.length > 1 && !isBelow(nth(hull, hull.length - 2), nth(hull, hull.length - 1), kit)) hull.pop()
    hull.push(kit)
  }
  return hull
}

/** Whether a kit between two others loses less than any mixture of them. */
function isBelow(lighter: Traded, between: Traded, heavier: Traded): boolean {
  const sparesBefore = (lighter.promiseH - between.promiseH) * (heavier.massG - between.massG)
  const sparesAfter = (between.promiseH - heavier.promiseH) * (between.massG - lighter.massG)
  return sparesBefore > sparesAfter
}

/** The grams an hour is worth where two kits, the lighter first, are as good. */
export const gramsPerHourBetween = (lighter: Traded, heavier: Traded): number =>
  (heavier.massG - lighter.massG) / (lighter.promiseH - heavier.promiseH)
