import { indexLedger } from '../ledger'
import { PromiseEvaluator } from '../promise'
import type { Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import { KitSearch, type KitChoice } from '../search'
import type { Trip } from '../trip'
import { ledgerOfTrip } from '../trip-ledger'
import { CostsOfFailing } from '../availability'
import { stances } from './schools'
import { leaveStance, takeStance } from './take'

/** What a stance would pack on a road. */
export interface Standing {
  /** Null for the plan as it is. */
  readonly stance: string | null
  /** Whether the plan has taken it up: then it stands here given up. */
  readonly isTaken: boolean
  /** The best kit by its own beliefs, and what it promises by them. */
  readonly kit: KitChoice
  /** Hours that the same kit loses by the beliefs of the plan as it is. */
  readonly hereH: number
}

/**
 * The plan as it is and, beside it, with each stance taken up, or given up where it has it: what each would pack on this road;
 * as they are found.
 *
 * @param survey the measured road of the trip; it must have a length
 * @throws Fault where what is pinned weighs or costs more than a budget
 */
export function* standings(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  book: OpeningCache = sharedOpeningCache,
): Generator<Standing> {
  const ledgerOf = (plan: Trip) =>
    indexLedger(ledgerOfTrip(plan, survey, reference, new CostsOfFailing(plan, survey, reference, book)).ledger)
  const here = ledgerOf(trip)
  const promise = new PromiseEvaluator(here)
  const search = KitSearch.forLedger(here)
  const kit = search.best()
  yield { stance: null, isTaken: false, kit, hereH: kit.promiseH }
  for (const stance of stances) {
    const isTaken = trip.dials.stances.some(({ id }) => id === stance.id)
    const plan = { ...trip, ...(isTaken ? leaveStance(trip, stance.id) : takeStance(trip, stance, reference)) }
    const other = KitSearch.forLedger(ledgerOf(plan), search).best()
    yield { stance: stance.id, isTaken, kit: other, hereH: promise.evaluate(other.counts).promiseH }
  }
}
