import { CostsOfFailing } from '../availability'
import { indexLedger, type KitHours } from '../ledger'
import { PromiseEvaluator } from '../promise'
import type { Reference } from '../reference'
import type { OpeningCache } from '../ride'
import type { Survey } from '../road'
import type { Stop } from '../supply'
import type { Trip } from '../trip'
import { ledgerOfTrip } from '../trip-ledger'

/** A place on the road that has nothing for one after all. */
export interface ShutPlace extends Pick<KitHours, 'promiseH' | 'walkH' | 'stranded'> {
  /** The id of the stop. */
  readonly stop: string
}

/** Whether a place has anything that mends: water alone does not. */
export const isHelp = ({ services }: Stop, { services: kinds }: Reference): boolean =>
  services.some(({ kind }) => {
    const known = kinds.find(({ id }) => id === kind)
    return known !== undefined && (known.mends || known.takesParcels || Object.keys(known.stocks).length > 0)
  })

/** The same trip, with all that a place offers shut. */
export const withShut = (trip: Trip, stop: string): Trip => ({
  ...trip,
  stops: trip.stops.map((each) => (each.id === stop ? { ...each, services: [] } : each)),
})

/** The ledger of a trip, with opening hours that have been read before. */
export const ledgerBy = (trip: Trip, survey: Survey, reference: Reference, book: OpeningCache) =>
  ledgerOfTrip(trip, survey, reference, new CostsOfFailing(trip, survey, reference, book))

/**
 * What a kit promises when one place is shut: each place that helps, one after another along the road.
 *
 * @param counts how many of each thing of the bench are carried, in their order
 */
export function* shutPlaces(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: readonly number[],
  book: OpeningCache,
): Generator<ShutPlace> {
  for (const stop of trip.stops.filter((each) => isHelp(each, reference))) {
    const { ledger } = ledgerBy(withShut(trip, stop.id), survey, reference, book)
    const { promiseH, walkH, stranded } = new PromiseEvaluator(indexLedger(ledger)).evaluate(counts)
    yield { stop: stop.id, promiseH, walkH, stranded }
  }
}
