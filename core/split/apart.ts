import type { Ledger } from '../ledger'
import { onLeg } from '../ledger'
import { nth } from '../validation'

/**
 * A ledger whose failures count for a share only: all that they cost is so much less, and they come as often.
 *
 * @param shares of each event, on each leg, 0 to 1
 */
export function countedFor(ledger: Ledger, shares: readonly (readonly number[])[]): Ledger {
  return {
    ...ledger,
    events: ledger.events.map((event, e) => {
      const share = nth(shares, e)
      const less = (value: number | readonly number[]) => share.map((part, leg) => part * onLeg(value, leg))
      return {
        ...event,
        lossH: less(event.lossH),
        walkH: less(event.walkH),
        strands: less(event.strands),
        fixes: event.fixes.map((fix) => ({
          ...fix,
          workH: less(fix.workH),
          residualH: less(fix.residualH),
          residualWalkH: less(fix.residualWalkH),
        })),
      }
    }),
  }
}
