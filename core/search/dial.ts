import type { IndexedLedger } from '../ledger'
import { PromiseEvaluator } from '../promise'

/** By default so many grams must spare so great a share of what everything on the bench together could. Planning value. */
const worthwhile = { massG: 100, share: 0.01 } as const

/**
 * The grams that an hour is worth on a road, while nobody has said: what riders take follows no one price of a gram in hours,
 * but the share that it spares of what could be spared at all.
 *
 * @returns grams for an hour; Infinity where nothing on the bench spares anything
 */
export function usualGramsPerHour(ledger: IndexedLedger): number {
  const promise = new PromiseEvaluator(ledger)
  const everything = ledger.items.map(({ max }) => max)
  const sparedH = promise.evaluate(new Int32Array(ledger.items.length)).promiseH - promise.evaluate(everything).promiseH
  return sparedH > 0 ? worthwhile.massG / (worthwhile.share * sparedH) : Infinity
}
