import type { OwnedThing } from './schema'

type Used = Pick<OwnedThing, 'price' | 'count' | 'uses'>

/**
 * What one use of some things has cost so far, all of each paid and each use of any of them counted, in whole coins.
 *
 * @param things all in one currency
 * @returns null where no price is known, or nothing has been used
 */
export function costByUse(things: readonly Used[]): number | null {
  const paid = things.reduce((sum, { price, count }) => sum + (price ?? 0) * count, 0)
  // Tools of a set are used together: the one that is used most has seen all of its uses.
  const uses = Math.max(0, ...things.map((thing) => thing.uses))
  return paid > 0 && uses > 0 ? Math.round(paid / uses) : null
}
