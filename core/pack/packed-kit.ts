import { CostsOfFailing } from '../availability'
import { indexLedger } from '../ledger'
import type { Reference } from '../reference'
import type { Survey } from '../road'
import { bestKit } from '../search'
import { bestSplit, failuresTogether, planOf, splitOfTrip } from '../split'
import type { Trip } from '../trip'
import { ledgerOfTrip } from '../trip-ledger'
import { defined } from '../validation'
import { packOfTrip, usesOfKit } from './pack-of-trip'
import { plansOf } from './plan'
import { bestPacking } from './search'

/** The best kit of a trip, shared out among its riders and packed. */
export function packedKit(trip: Trip, survey: Survey, reference: Reference) {
  const costs = new CostsOfFailing(trip, survey, reference)
  const laid = ledgerOfTrip(trip, survey, reference, costs)
  const { counts } = bestKit(indexLedger(laid.ledger))
  const problem = splitOfTrip(trip, survey, reference, laid, counts)
  const split = planOf(bestSplit(problem))
  const uses = usesOfKit(trip, laid, split.counts, failuresTogether(problem))
  const packed = packOfTrip(trip, reference, uses, split).map(({ bikeId, problem: pack }) => ({
    bike: defined(trip.bikes.find(({ id }) => id === bikeId)),
    state: bestPacking(pack),
  }))
  return { costs, laid, split, packs: plansOf(packed, reference.containers) }
}
