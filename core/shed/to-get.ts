import { piecesThere, shopOf, type Thing } from '../bench'
import { toBuy } from '../money'

/** Pieces that a kit takes and that are not there yet, and the stop where they are bought on the way. */
export interface ToGet<Stop> {
  readonly thing: Thing
  readonly pieces: number
  readonly shop: Stop | undefined
}

/**
 * What a kit takes that nobody has.
 *
 * @param carried how many of each thing of the bench come along
 */
export const toGet = <Stop extends { readonly id: string }>(
  bench: readonly Thing[],
  carried: Readonly<Record<string, number>>,
  stops: readonly Stop[],
): ToGet<Stop>[] =>
  bench
    .map((thing) => {
      const shop = shopOf(thing, stops)
      return { thing, pieces: toBuy(shop ? 0 : piecesThere(thing), carried[thing.id] ?? 0), shop }
    })
    .filter(({ pieces }) => pieces > 0)
