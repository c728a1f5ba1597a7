import type { IndexedLedger } from '../ledger'
import { PromiseEvaluator } from '../promise'

/**
 * By default so many grams must spare so great a share of what everything on the bench together could. Planning value, set by
 * what riders pack for roads of a kind (tests/roads/common-practice): with a full hundredth a week far from shops is packed
 * lighter than they do.
 */
const worthwhile = { massG: 100, share: 0.009 } as const

/** The price has so many digits that mean anything. */
const digits = 2

/**
 * The grams that an hour is worth on a road, while nobody has said: what riders take follows no one price of a gram in hours,
 * but the share that it spares of what could be spared at all.
 *
 * @param sparedH hours that everything on the bench together spares
 * @returns grams for an hour; null where nothing on the bench spares anything
 */
export function gramsPerHourSparing(sparedH: number): number | null {
  return sparedH > 0 ? Number((worthwhile.massG / (worthwhile.share * sparedH)).toPrecision(digits)) : null
}

/** The same for a ledger without pins. */
export function usualGramsPerHour(ledger: IndexedLedger): number | null {
  const promise = new PromiseEvaluator(ledger)
  const everything = ledger.items.map(({ max }) => max)
  const bareH = promise.evaluate(new Int32Array(ledger.items.length)).promiseH
  return gramsPerHourSparing(bareH - promise.evaluate(everything).promiseH)
}
