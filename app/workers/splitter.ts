import { catalogue } from '#catalogue'
import { CostsOfFailing } from '#core/availability'
import {
  bestPacking,
  movesOf,
  packOfTrip,
  plansOf,
  usesOfKit,
  type MoveCost,
  type PackPlan,
  type PackProblem,
  type PackState,
  type UsesOfKit,
} from '#core/pack'
import { papersOf, type Papers } from '#core/papers'
import { surveyRoad, type RoadPoint, type Survey } from '#core/road'
import {
  bestSplit,
  failuresTogether,
  planOf,
  planSoFar,
  splitOfTrip,
  type Shift,
  type ShiftCosts,
  type SplitPlan,
  type SplitState,
} from '#core/split'
import type { Trip } from '#core/trip'
import { writeLedger, type LedgerOfTrip } from '#core/trip-ledger'
import { defined } from '#core/validation'
import { unpackLine, type LineId, type PackedLine } from './packed-line'
import type { TripWithoutLine } from './wayfinder'

/** What packing goes by beside the split. */
export type BagsAndThings = Pick<Trip, 'bikes' | 'bench' | 'dials'>

/**
 * Splits a kit among riders and packs what each carries, and tells what it would cost to change that; it keeps the line of the
 * road that it was given last.
 */
export function createSplitter() {
  let line: { id: LineId; points: RoadPoint[]; survey: Survey } | undefined
  let state: SplitState | undefined
  let divided: { trip: Trip; laid: LedgerOfTrip; plan: SplitPlan; uses?: UsesOfKit } | undefined
  let packed: { bikeId: string; state: PackState }[] = []

  /**
   * @param packedLine the line of the road, where it may not be at hand here
   * @param counts how many of each thing of the bench all carry
   * @param onRound told again and again while the search goes on
   * @param onSoFar told once, as soon as there is a split to begin with; nothing where nobody waits for one
   * @returns nothing where the line was not at hand
   */
  function split(
    trip: TripWithoutLine,
    lineId: LineId,
    packedLine: PackedLine | undefined,
    counts: readonly number[],
    onRound: () => void,
    onSoFar?: (plan: SplitPlan) => void,
  ): SplitPlan | undefined {
    if (packedLine) {
      const points = unpackLine(packedLine)
      line = { id: lineId, points, survey: surveyRoad(points) }
    }
    if (line?.id !== lineId) return undefined
    const whole = { ...trip, road: { ...trip.road, points: line.points } }
    const laid = writeLedger(whole, line.survey, catalogue)
    let tell = onSoFar
    state = bestSplit(splitOfTrip(whole, line.survey, catalogue, laid, counts), (soFar) => {
      tell?.(planSoFar(soFar))
      tell = undefined
      onRound()
    })
    const plan = planOf(state)
    divided = { trip: whole, laid, plan }
    return plan
  }

  /** What each of some changes of the split would cost; nothing where there is none. */
  const costsOf = (changes: readonly (readonly Shift[])[]): ShiftCosts[] | undefined =>
    changes.flatMap((shifts) => (state ? [state.costsOf(shifts)] : []))

  /** Packs what each rider carries by the split that was found last; nothing where there is none. */
  function pack({ bikes, bench, dials }: BagsAndThings): PackPlan[] | undefined {
    if (!divided) return undefined
    const { trip, laid, plan } = divided
    divided.uses ??= usesOfKit(trip, laid, plan.counts, state && failuresTogether(state.problem))
    packed = packOfTrip({ ...trip, bikes, bench, dials }, catalogue, divided.uses, plan).map(({ bikeId, problem }) => {
      const before = packed.find((each) => each.bikeId === bikeId)?.state
      return { bikeId, state: bestPacking(problem, before && asBefore(problem, before)) }
    })
    return plansOn(bikes)
  }

  /** What is packed, on bikes as they are now. */
  const plansOn = (bikes: Trip['bikes']): PackPlan[] =>
    plansOf(
      packed.map(({ bikeId, state: there }) => ({
        bike: defined(bikes.find(({ id }) => id === bikeId)),
        state: there,
      })),
      catalogue.containers,
    )

  /** What each other place on its bike would cost for a piece; nothing where it is not packed there. */
  function movesFrom(bikeId: string, thing: number, from: string | null): MoveCost[] {
    const there = packed.find((each) => each.bikeId === bikeId)
    return there ? movesOf(there.state, thing, from) : []
  }

  /**
   * All that goes on paper of what was split and packed last; nothing where that was not yet.
   *
   * @param now the plan as it is: bags and people may be called otherwise than when it was split
   */
  function papers(now: TripWithoutLine): Papers | undefined {
    if (!divided || !line || packed.length === 0) return undefined
    const { trip, laid, plan } = divided
    const whole = { ...now, road: trip.road }
    const costs = new CostsOfFailing(whole, line.survey, catalogue)
    return papersOf(whole, catalogue, costs, laid, plan.counts, plansOn(now.bikes))
  }

  return { split, costsOf, pack, movesFrom, papers }
}

/** The same pieces where they were, bag by bag: a larger bag then never makes it worse. */
function asBefore({ pieces, places }: PackProblem, before: PackState): readonly (readonly number[])[] | undefined {
  const isSame =
    JSON.stringify(pieces.map(({ thing }) => thing)) === JSON.stringify(before.problem.pieces.map(({ thing }) => thing))
  if (!isSame) return undefined
  return places.map(({ id }) => before.inPlaces[before.problem.places.findIndex((place) => place.id === id)] ?? [])
}

export type SplitterService = ReturnType<typeof createSplitter>
