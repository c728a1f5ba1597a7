import { piecesThere, type Thing } from '../bench'
import { toBuy } from '../money'

/** Pieces that a kit takes and that are not there yet. */
export interface ToGet {
  readonly thing: Thing
  readonly pieces: number
}

/**
 * What a kit takes that nobody has.
 *
 * @param carried how many of each thing of the bench come along
 */
export const toGet = (bench: readonly Thing[], carried: Readonly<Record<string, number>>): ToGet[] =>
  bench
    .map((thing) => ({ thing, pieces: toBuy(piecesThere(thing), carried[thing.id] ?? 0) }))
    .filter(({ pieces }) => pieces > 0)
