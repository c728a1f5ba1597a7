/** What several pieces cost together, as far as anybody knows, in the smallest coins of one currency. */
export interface KnownPrice {
  readonly price: number
  /** Pieces of which nobody has said what they cost in that currency; they are in no sum. */
  readonly unknown: number
}

/** How many of so many pieces have to be bought where some are there. */
export const toBuy = (owned: number, wanted: number): number => Math.max(0, wanted - owned)

/** @param pieces how many there are of each, and what one costs; undefined where nobody has said */
export const knownPrice = (
  pieces: Iterable<{ readonly count: number; readonly each: number | undefined }>,
): KnownPrice => {
  let [price, unknown] = [0, 0]
  for (const { count, each } of pieces) {
    if (each === undefined) unknown += count
    else price += count * each
  }
  return { price, unknown }
}
