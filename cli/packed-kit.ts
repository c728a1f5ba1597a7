import { catalogue } from '#catalogue'
import { CostsOfFailing } from '#core/availability'
import { indexLedger } from '#core/ledger'
import { bestPacking, packOfTrip, plansOf, usesOfKit } from '#core/pack'
import type { Survey } from '#core/road'
import { bestKit } from '#core/search'
import { bestSplit, failuresTogether, planOf, splitOfTrip } from '#core/split'
import type { Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import { defined } from '#core/validation'

/** The best kit of a trip, shared out among its riders and packed. */
export function packedKit(trip: Trip, survey: Survey) {
  const costs = new CostsOfFailing(trip, survey, catalogue)
  const laid = ledgerOfTrip(trip, survey, catalogue, costs)
  const { counts } = bestKit(indexLedger(laid.ledger))
  const problem = splitOfTrip(trip, survey, catalogue, laid, counts)
  const split = planOf(bestSplit(problem))
  const uses = usesOfKit(trip, laid, split.counts, failuresTogether(problem))
  const packed = packOfTrip(trip, catalogue, uses, split).map(({ bikeId, problem }) => ({
    bike: defined(trip.bikes.find(({ id }) => id === bikeId)),
    state: bestPacking(problem),
  }))
  return { costs, laid, split, packs: plansOf(packed, catalogue.containers) }
}
