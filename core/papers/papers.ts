import type { CostsOfFailing } from '../availability'
import type { PackPlan } from '../pack'
import { withPlanning, type Reference } from '../reference'
import type { Trip } from '../trip'
import type { LedgerOfTrip } from '../trip-ledger'
import { failureCards, type FailureCard } from './failure-cards'
import { kitSheets, type KitSheet } from './kit-sheet'
import { gapLines, stopLines, type GapLine, type StopLine } from './stop-lines'
import { tinCard, type TinCard } from './tin-card'

/** All that goes on paper. */
export interface Papers {
  readonly name: string
  /** When the ride begins, such as 2026-06-12T08:30. */
  readonly start: string | null
  readonly lengthKm: number
  readonly kits: readonly KitSheet[]
  readonly tins: readonly TinCard[]
  readonly stops: readonly StopLine[]
  readonly gaps: readonly GapLine[]
  readonly failures: readonly FailureCard[]
}

/**
 * What goes on paper of a plan and its kit.
 *
 * @param counts how many of each thing of the bench come along
 * @param packs where all of it is packed
 */
export function papersOf(
  trip: Trip,
  reference: Reference,
  costs: CostsOfFailing,
  laid: LedgerOfTrip,
  counts: readonly number[],
  packs: readonly PackPlan[],
): Papers {
  const kits = kitSheets(trip, packs)
  const ridden = trip.bikes.filter(({ id }) => trip.crew.some(({ bikeId }) => bikeId === id))
  return {
    name: trip.name,
    start: trip.ride.start,
    lengthKm: costs.edges.at(-1) ?? 0,
    kits,
    tins: ridden.map(tinCard),
    stops: stopLines(trip, costs),
    gaps: gapLines(trip, costs, laid),
    failures: failureCards(trip, laid, withPlanning(reference, trip.dials.planning), counts, kits),
  }
}
