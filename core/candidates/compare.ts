import { CostsOfFailing } from '../availability'
import type { Thing } from '../bench'
import type { Fastener } from '../bike'
import { strongestHandN } from '../crew'
import {
  comfortableShare,
  crewFit,
  toolsOn,
  type Addition,
  type Coverage,
  type FastenerFit,
  type FitReason,
  type FitVerdict,
} from '../fit'
import { indexLedger } from '../ledger'
import { withPlanning, type Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import { KitSearch, usualGramsPerHour, type KitChoice } from '../search'
import type { Trip } from '../trip'
import { writeLedger } from '../trip-ledger'
import { additions, type Criterion } from './added'

/** A tool, or several that are taken together, to be compared with others. */
export interface Candidate {
  readonly name: string
  /** As they would lie on the bench; those that lie there already have the id that they have there. */
  readonly things: readonly Thing[]
}

/** So many can be looked at side by side. */
export const mostCandidates = 5

/** What a candidate does about one fastener, by itself. */
export interface CandidateFit {
  readonly bike: string
  readonly fastener: Fastener
  readonly coverage: Coverage
  /** The best that it does; undefined where it has no head at all, and where none is needed. */
  readonly best: { readonly verdict: FitVerdict; readonly reason: FitReason; readonly handN: number | null } | undefined
  /** Whether it turns without hurting the hand. */
  readonly isEasy: boolean
  /** How much farther than the recess its head reaches, mm; null where it turns nothing. */
  readonly spareReachMm: number | null
}

/** A candidate as it does by itself, and the best kit with it in the place of the others. */
export interface CandidateReport {
  readonly name: string
  readonly pieces: number
  readonly massG: number
  readonly fasteners: readonly CandidateFit[]
  /** How many fasteners it turns, how many of those with ease, and how many nothing of it turns. */
  readonly counts: { readonly turned: number; readonly easy: number; readonly uncovered: number }
  /** What must be added for the rest to turn; nothing of it lies among the candidates. */
  readonly additions: Record<Criterion, Addition>
  readonly kit: KitChoice
}

/**
 * Candidates side by side, as they are found: which fasteners each turns, what it leaves to be added, and what the best kit
 * loses that has it and none of the others, nor one of their kind from the bench. All kits are chosen at one price of a gram.
 *
 * @param survey the measured road of the trip; it must have a length
 * @throws RangeError where there are none, or more than can be looked at
 */
export function* compareCandidates(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  candidates: readonly Candidate[],
  book: OpeningCache = sharedOpeningCache,
): Generator<CandidateReport> {
  if (candidates.length === 0 || candidates.length > mostCandidates)
    throw new RangeError(`${candidates.length} candidates are not 1 to ${mostCandidates}`)
  const { items } = withPlanning(reference, trip.dials.planning)
  const handMostN = strongestHandN(trip)
  const tried = candidates.flatMap(({ things }) => things)
  // One of the same kind that lies on the bench would do in each kit what the candidate is to do.
  const isTried = (laid: Thing) => tried.some(({ id, from }) => id === laid.id || (from !== null && from === laid.from))
  const rest = trip.bench.filter((laid) => !isTried(laid))
  const costs = new CostsOfFailing(trip, survey, reference, book)
  const ledgerWith = (bench: readonly Thing[], gramsPerHour: number | null) =>
    indexLedger({
      ...writeLedger({ ...trip, bench: [...bench] }, survey, reference, costs).ledger,
      // What a candidate costs is told beside it; it is tried whether it may be spent or not.
      budgetMoney: null,
      gramsPerHour,
    })
  const all = [...new Map(tried.map((thing) => [thing.id, thing])).values()]
  const gramsPerHour = trip.dials.gramsPerHour ?? usualGramsPerHour(ledgerWith([...rest, ...all], null))

  for (const { name, things } of candidates) {
    const tools = toolsOn(things)
    const { fasteners } = crewFit(trip.bikes, tools, handMostN)
    const uncovered = fasteners.filter(({ coverage }) => coverage === 'uncovered').map(({ fastener }) => fastener)
    const pinned = things.map((thing): Thing => ({ ...thing, pin: { min: 1, max: thing.count } }))
    const ledger = ledgerWith([...rest, ...pinned], gramsPerHour)
    const fits = fasteners.map((fit) => candidateFit(fit, handMostN))
    yield {
      name,
      pieces: things.length,
      massG: things.reduce((sum, { massG }) => sum + massG, 0),
      fasteners: fits,
      counts: {
        turned: fits.filter(({ coverage }) => coverage === 'turned').length,
        easy: fits.filter(({ isEasy }) => isEasy).length,
        uncovered: uncovered.length,
      },
      additions: additions(uncovered, tools, items, handMostN),
      kit: KitSearch.forLedger(ledger).best(),
    }
  }
}

/** What tools do about one fastener, in short. */
export function candidateFit({ bike, fastener, coverage, best }: FastenerFit, handMostN: number): CandidateFit {
  const isTurned = coverage === 'turned'
  const isEasy = isTurned && best?.verdict !== 'awkward' && (best?.handN ?? 0) <= comfortableShare * handMostN
  return {
    bike,
    fastener,
    coverage,
    best: best && { verdict: best.verdict, reason: best.reason, handN: best.handN },
    isEasy,
    spareReachMm: isTurned && best ? best.head.reachMm - fastener.recessMm : null,
  }
}
