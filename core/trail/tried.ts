import { trySchema, type LogEntry } from '../log'
import { fixOf } from '../trip-ledger'
import type { WayAtHand } from './triage'

/** How a way to mend turned out. */
export const outcomes = ['held', 'did not hold', 'could not'] as const
export type Outcome = (typeof outcomes)[number]

/**
 * A try as a log has it. What hands could not do used nothing up.
 *
 * @param by the rider who did it; null where nobody says
 * @param minutes how long it took; null where nobody has looked
 */
export function triedIn(
  { fix, takes }: Pick<WayAtHand, 'fix' | 'takes'>,
  outcome: Outcome,
  by: string | null,
  minutes: number | null,
): Extract<LogEntry, { kind: 'failed' }>['tries'][number] {
  return trySchema.parse({
    fix: fixOf(fix),
    by,
    could: outcome !== 'could not',
    held: outcome === 'could not' ? null : outcome === 'held',
    minutes,
    took: [...new Set(takes.map(({ thing }) => thing))],
    spent:
      outcome === 'could not'
        ? []
        : takes.flatMap(({ thing, stock, amount }) => (amount === null ? [] : [{ thing, stock, amount, from: null }])),
  })
}

/**
 * What can still be tried of some ways: each so often at most as is worth it, and nothing that the hands could not do once.
 *
 * @param tries what was tried already, by the fixes of the catalogue
 */
export function waysLeft(
  ways: readonly WayAtHand[],
  tries: readonly { readonly fix: string | null; readonly could: boolean }[],
): WayAtHand[] {
  const timesOf = (way: WayAtHand) => tries.filter(({ fix }) => fix === fixOf(way.fix)).length
  const failed = new Set(tries.flatMap(({ fix, could }) => (could ? [] : [fix])))
  const unable = new Set(ways.flatMap(({ fix, technique }) => (failed.has(fixOf(fix)) ? [technique] : [])))
  return ways.filter((way) => timesOf(way) < way.most && !unable.has(way.technique))
}
