import type { Thing } from '../bench'
import type { OwnedThing } from './schema'

/** What a kit has cost or would cost, in the smallest coins of one currency. */
export interface KitPrice {
  readonly price: number
  /** Pieces of which nobody has said what they cost in that currency; they are in no sum. */
  readonly unknown: number
}

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
): KitPrice {
  return bench.reduce<KitPrice>(
    ({ price, unknown }, thing, i) => {
      const pieces = counts[i] ?? 0
      const owned = thing.shed === null ? undefined : shed.get(thing.shed)
      const paid = owned?.currency === currency ? owned.price : null
      const each = paid ?? ofKind(thing)
      return each === undefined ? { price, unknown: unknown + pieces } : { price: price + pieces * each, unknown }
    },
    { price: 0, unknown: 0 },
  )
}
