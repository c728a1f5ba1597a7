import { indexLedger } from '../ledger'
import { PromiseEvaluator } from '../promise'
import type { Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import { KitSearch, type KitChoice } from '../search'
import type { Trip } from '../trip'
import { repeated, type Repeated } from './repeated'
import { ledgerBy, shutPlaces, withShut, type ShutPlace } from './shut'

/** Flats, with tubes and without: what comes several times in one day. */
const flats = ['puncture', 'tubeless-hole'] as const
export const mostFlats = 5

/** One more finding about how a kit does under stress. */
export type StressFinding =
  /** What the kit promises on the road as it is. */
  | { readonly kind: 'now'; readonly promiseH: number; readonly walkH: number; readonly stranded: number }
  /** Flats on one bike in one day. */
  | ({ readonly kind: 'flats' } & Repeated)
  /** One place shut. */
  | ({ readonly kind: 'shut' } & ShutPlace)
  /** What one would carry if one knew that the worst place is shut. */
  | { readonly kind: 'knowing'; readonly stop: string; readonly kit: KitChoice }

/**
 * How a kit does when things come thick: several flats in one day, and each place along the road shut when one comes; then what
 * one would carry for the worst of them.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param counts how many of each thing of the bench are carried, in their order
 * @returns findings as they come
 */
export function* stress(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: readonly number[],
  book: OpeningCache = sharedOpeningCache,
): Generator<StressFinding> {
  const built = ledgerBy(trip, survey, reference, book)
  const { promiseH, walkH, stranded } = new PromiseEvaluator(indexLedger(built.ledger)).evaluate(counts)
  yield { kind: 'now', promiseH, walkH, stranded }
  for (const each of repeated(built, flats, counts, mostFlats)) yield { kind: 'flats', ...each }
  let worst: ShutPlace | undefined
  for (const place of shutPlaces(trip, survey, reference, counts, book)) {
    yield { kind: 'shut', ...place }
    if (!worst || place.promiseH > worst.promiseH) worst = place
  }
  if (!worst || worst.promiseH <= promiseH) return
  const { ledger } = ledgerBy(withShut(trip, worst.stop), survey, reference, book)
  yield { kind: 'knowing', stop: worst.stop, kit: KitSearch.forLedger(indexLedger(ledger)).best() }
}
