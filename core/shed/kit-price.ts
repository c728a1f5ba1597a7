import type { Thing } from '../bench'
import { knownPrice, type KnownPrice } from '../money'
import type { OwnedThing } from './schema'

/**
 * What the pieces of a kit cost: of what is of a shed what was paid for it there, of all else what its kind costs.
 *
 * @param counts how many of each thing of the bench, in their order
 * @param ofKind the price of a thing's kind in the currency; undefined where it is not known
 */
export function kitPrice(
  bench: readonly Thing[],
  counts: ArrayLike<number>,
  shed: ReadonlyMap<string, OwnedThing>,
  currency: string,
  ofKind: (thing: Thing) => number | undefined,
): KnownPrice {
  return knownPrice(
    bench.map((thing, i) => {
      const owned = thing.shed === null ? undefined : shed.get(thing.shed)
      const paid = owned?.currency === currency ? owned.price : null
      return { count: counts[i] ?? 0, each: paid ?? ofKind(thing) }
    }),
  )
}
