import { nth, numberAt } from '../validation'
import type { IndexedEvent, IndexedFix, IndexedLedger } from './indexed'

/** A stock counts as at hand where no more than this is lacking: sums of tenths are not exact. */
export const roundingAmount = 1e-9

/** What a kit promises: all in expectation over the trips that may come. */
export interface KitHours {
  /** Hours lost, on foot and in prices. */
  readonly promiseH: number
  /** The part of them on foot. */
  readonly walkH: number
  /** The chance to be stranded at least once. */
  readonly stranded: number
}

/** What is carried of each stock at departure. */
export interface Departure {
  readonly amounts: Float64Array
  /** How good it is: the mean over the pieces carried, by amount; 1 where none is. */
  readonly conditions: Float64Array
}

/** @param counts how many of each item are carried, in their order */
export function departureWith({ items, stocks }: IndexedLedger, counts: ArrayLike<number>): Departure {
  const amounts = new Float64Array(stocks.length)
  const good = new Float64Array(stocks.length)
  items.forEach(({ units, condition }, i) => {
    const count = nth(counts, i)
    for (const { stock, amount } of units) {
      amounts[stock] = numberAt(amounts, stock) + count * amount
      good[stock] = numberAt(good, stock) + count * amount * condition
    }
  })
  return { amounts, conditions: good.map((sum, s) => (numberAt(amounts, s) > 0 ? sum / numberAt(amounts, s) : 1)) }
}

/** The chance that a fix, done by hands that can, holds with the stocks it uses. */
export function holdsWith({ holds, uses }: IndexedFix, conditions: Float64Array): number {
  return holds * uses.reduce((least, { stock }) => Math.min(least, numberAt(conditions, stock)), 1)
}

/** A fix in the order in which it is tried. */
export interface Try {
  readonly fix: IndexedFix
  readonly holds: number
  /** Hours that a try spares, in the mean. */
  readonly worthH: number
  /** How often running it is tried. */
  readonly most: number
}

/** A fix that uses stock is tried so often running; one that uses none, once. */
export const mostTries = 2

/**
 * The fixes of a failure on a leg in the order in which a rider tries them: by what a try is worth, the most first, those
 * that are worth nothing left out; equals in the order of the ledger.
 *
 * Whether their functions are there and their stocks at hand is seen when it comes to it.
 */
export function triesOf(event: IndexedEvent, onLeg: number, conditions: Float64Array): Try[] {
  const leg = event.orderedAsOn ?? onLeg
  const lossH = numberAt(event.lossH, leg)
  return event.fixes
    .map((fix) => {
      const holds = holdsWith(fix, conditions)
      const worthH = fix.hands * holds * (lossH - numberAt(fix.residualH, leg)) - numberAt(fix.workH, leg)
      return { fix, holds, worthH, most: fix.uses.length > 0 ? mostTries : 1 }
    })
    .filter(({ worthH }) => worthH > 0)
    .sort((a, b) => b.worthH - a.worthH)
}

/** Of tries that can all be done, the first of each attempt: whoever has two tools for it takes the better one. */
export function firstOfEachAttempt(tries: readonly Try[]): Try[] {
  const begun = new Set<number>()
  return tries.filter(({ fix: { attempt } }) => {
    const isFirst = !begun.has(attempt)
    begun.add(attempt)
    return isFirst
  })
}
