import type { ClaimNote } from '../trip-ledger'
import type { Gap } from '../road'
import type { Verdict } from './verdicts'

/**
 * Hours at risk in a verdict from claims that fall in one stretch of the road
 * only; all of them where no stretch is given.
 */
export function hoursWithin(verdict: Verdict, notes: ReadonlyMap<string, ClaimNote>, gap: Gap | undefined): number {
  if (!gap) return verdict.lostH
  return verdict.claims.reduce((sum, { claim, lostH }) => {
    const note = notes.get(claim)
    return note && note.gap.fromKm < gap.toKm && gap.fromKm < note.gap.toKm ? sum + lostH : sum
  }, 0)
}
