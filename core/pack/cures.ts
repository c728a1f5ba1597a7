import type { Packing } from '../bench'
import type { Storage } from '../bike'
import type { PackPiece } from './problem'

/** What keeps a thing whole beside others: wound with tape, in a bag of its own, its cap up. */
export const cures = ['wind with tape', 'bag it', 'cap up'] as const
export type Cure = (typeof cures)[number]

/** What a cure weighs, g. */
export const cureGrams = (cure: Cure, { tapeG, bagG }: Pick<Packing, 'tapeG' | 'bagG'>): number =>
  ({ 'wind with tape': tapeG, 'bag it': bagG, 'cap up': 0 })[cure]

/**
 * What a piece needs in a place: what is soft beside what is sharp is wound with tape; what leaks stands with its cap up, or is
 * bagged; what must stay dry is bagged where it is not dry. Common practice, no source.
 *
 * @param isBesideSharp whether something sharp is in the same place
 */
export function curesOf(
  { handling }: Pick<PackPiece, 'handling'>,
  { upright, keepsDry }: Pick<Storage, 'upright' | 'keepsDry'>,
  isBesideSharp: boolean,
): Cure[] {
  const needed: Cure[] = []
  if (isBesideSharp && handling.includes('soft')) needed.push('wind with tape')
  const leaks = handling.includes('leaks')
  if ((leaks && !upright) || (!keepsDry && handling.includes('keep dry'))) needed.push('bag it')
  else if (leaks) needed.push('cap up')
  return needed
}
