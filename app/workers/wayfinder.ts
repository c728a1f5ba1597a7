import { catalogue } from '#catalogue'
import { compareCandidates, type Candidate, type CandidateReport } from '#core/candidates'
import { flips, type Flip } from '#core/flips'
import type { Ledger } from '#core/ledger'
import { surveyRoad, type RoadPoint, type Survey } from '#core/road'
import { standings, type Standing } from '#core/stances'
import { stress, type StressFinding } from '#core/stress'
import { readyPromise, taskList, taskWorths, type ReadyPromise, type ReadyTask, type TaskWorth } from '#core/ready'
import { checkReferences, faultLines, type Trip } from '#core/trip'
import { ledgerOfTrip } from '#core/trip-ledger'
import type { Verdict } from '#core/verdicts'
import { ways, type Way } from '#core/ways'
import { unpackLine, type LineId, type PackedLine, type RoadWithoutLine } from './packed-line'

/** A trip whose line travels apart from it. */
export type TripWithoutLine = Omit<Trip, 'road'> & { readonly road: RoadWithoutLine }

/** What is to be done before a ride, and what hangs on all of it together: nothing where there is no kit. */
export interface ReadyList {
  readonly tasks: readonly ReadyTask[]
  readonly promise: ReadyPromise | null
}

/** Weighs other plans for a trip: ways that weigh nothing, stances, candidates and stress; it keeps the line of the road that it was given last. */
export function createWayfinder() {
  let line: { id: LineId; points: RoadPoint[]; survey: Survey } | undefined

  /**
   * Tells every way with a kit, as they are found.
   *
   * @param packed the line of the road, where it may not be at hand here
   * @returns whether the line was at hand; nothing is told where it was not
   */
  function findWays(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    counts: readonly number[],
    onWay: (way: Way) => void,
  ): boolean {
    const road = roadOf(trip, lineId, packed)
    if (!road) return false
    for (const way of ways(road.trip, road.survey, catalogue, counts)) onWay(way)
    return true
  }

  /** Tells what each stance would pack, as they are found. @returns whether the line was at hand, as above */
  function findStandings(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    onStanding: (standing: Standing) => void,
  ): boolean {
    const road = roadOf(trip, lineId, packed)
    if (!road) return false
    for (const standing of standings(road.trip, road.survey, catalogue)) onStanding(standing)
    return true
  }

  /** The ledger of each of some plans on the same line, or why it has none, in their order; undefined where the line was not at hand. */
  function ledgersOf(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    plans: readonly TripWithoutLine[],
  ): (Ledger | { why: string })[] | undefined {
    const road = roadOf(trip, lineId, packed)
    if (!road) return undefined
    const { points } = road.trip.road
    return plans.map((written) => {
      const plan = { ...written, road: { ...written.road, points } }
      try {
        checkReferences(plan, road.survey.lengthKm, catalogue)
      } catch (error) {
        const lines = faultLines(error)
        if (!lines) throw error
        return { why: `It fits the trip no more: ${lines.join('; ')}` }
      }
      return ledgerOfTrip(plan, road.survey, catalogue).ledger
    })
  }

  /** Tells how candidates do, as they are found. @returns whether the line was at hand, as above */
  function findReports(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    candidates: readonly Candidate[],
    onReport: (report: CandidateReport) => void,
  ): boolean {
    const road = roadOf(trip, lineId, packed)
    if (!road) return false
    for (const report of compareCandidates(road.trip, road.survey, catalogue, candidates)) onReport(report)
    return true
  }

  /** Tells how a kit does when things come thick, as it is found. @returns whether the line was at hand, as above */
  function findStress(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    counts: readonly number[],
    onFinding: (finding: StressFinding) => void,
  ): boolean {
    const road = roadOf(trip, lineId, packed)
    if (!road) return false
    for (const finding of stress(road.trip, road.survey, catalogue, counts)) onFinding(finding)
    return true
  }

  /** Tells what would change a verdict, as it is found. @returns whether the line was at hand, as above */
  function findFlips(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    counts: readonly number[],
    verdict: Verdict,
    onFlip: (flip: Flip) => void,
  ): boolean {
    const road = roadOf(trip, lineId, packed)
    if (!road) return false
    for (const flip of flips(road.trip, road.survey, catalogue, counts, verdict)) onFlip(flip)
    return true
  }

  /** All that is to be done before a ride, and what the kit promises by what becomes of it; undefined where the line was not at hand. */
  function readyListOf(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    counts: readonly number[] | null,
  ): ReadyList | undefined {
    const road = roadOf(trip, lineId, packed)
    if (!road) return undefined
    const carried = Object.fromEntries(trip.bench.map(({ id }, i) => [id, counts?.[i] ?? 0]))
    const tasks = taskList(road.trip, catalogue, { survey: road.survey, carried })
    const promise = counts && readyPromise(road.trip, road.survey, catalogue, counts, tasks)
    return { tasks, promise }
  }

  /** Tells what it costs to leave each of some tasks undone, as it is found. @returns whether the line was at hand, as above */
  function findTaskWorths(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
    counts: readonly number[],
    tasks: readonly ReadyTask[],
    onWorth: (worth: TaskWorth) => void,
  ): boolean {
    const road = roadOf(trip, lineId, packed)
    if (!road) return false
    for (const worth of taskWorths(road.trip, road.survey, catalogue, counts, tasks)) onWorth(worth)
    return true
  }

  /** The trip with its line, measured; undefined where the line is not at hand. */
  function roadOf(
    trip: TripWithoutLine,
    lineId: LineId,
    packed: PackedLine | undefined,
  ): { trip: Trip; survey: Survey } | undefined {
    if (packed) {
      const points = unpackLine(packed)
      line = { id: lineId, points, survey: surveyRoad(points) }
    }
    if (line?.id !== lineId) return undefined
    return { trip: { ...trip, road: { ...trip.road, points: line.points } }, survey: line.survey }
  }

  return { findWays, findStandings, ledgersOf, findReports, findStress, findFlips, readyListOf, findTaskWorths }
}
export type WayfinderService = ReturnType<typeof createWayfinder>
