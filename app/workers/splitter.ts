import { catalogue } from '#catalogue'
import { surveyRoad, type RoadPoint, type Survey } from '#core/road'
import {
  bestSplit,
  planOf,
  splitOfTrip,
  type Shift,
  type ShiftCosts,
  type SplitPlan,
  type SplitState,
} from '#core/split'
import { writeLedger } from '#core/trip-ledger'
import { unpackLine, type LineId, type PackedLine } from './packed-line'
import type { TripWithoutLine } from './wayfinder'

/** Splits a kit among riders, and tells what it would cost to change that; it keeps the line of the road that it was given last. */
export function createSplitter() {
  let line: { id: LineId; points: RoadPoint[]; survey: Survey } | undefined
  let state: SplitState | undefined

  /**
   * @param packed the line of the road, where it may not be at hand here
   * @param counts how many of each thing of the bench all carry
   * @param onRound told again and again while the search goes on
   * @returns nothing where the line was not at hand
   */
  function split(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    counts: readonly number[],
    onRound: () => void,
  ): SplitPlan | undefined {
    if (packed) {
      const points = unpackLine(packed)
      line = { id: lineId, points, survey: surveyRoad(points) }
    }
    if (line?.id !== lineId) return undefined
    const whole = { ...trip, road: { ...trip.road, points: line.points } }
    const laid = writeLedger(whole, line.survey, catalogue)
    state = bestSplit(splitOfTrip(whole, line.survey, catalogue, laid, counts), onRound)
    return planOf(state)
  }

  /** What each of some changes of the split would cost; nothing where there is none. */
  const costsOf = (changes: readonly (readonly Shift[])[]): ShiftCosts[] | undefined =>
    changes.flatMap((shifts) => (state ? [state.costsOf(shifts)] : []))

  return { split, costsOf }
}
export type SplitterService = ReturnType<typeof createSplitter>
