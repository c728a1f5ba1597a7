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
