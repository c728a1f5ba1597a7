import type { Reference } from '../reference'
import type { Gap } from '../road'
import { isHelp } from '../supply'
import type { Trip } from '../trip'
import { classesOf, heaviestPush, worstPushOut, type WorstPushOut } from './classes'
import type { Landscape } from './landscape'

/** The walk out along the road, for drawing and reading off. */
export interface WalkOut {
  readonly km: Float64Array
  /** Hours to help, on foot and waiting. */
  readonly hours: Float64Array
  /** The part of them that one waits until it opens, beyond what one would wait anyway. */
  readonly waitH: Float64Array
  /** Name of the place walked to from each point. */
  readonly to: string[]
}

/** What the road strip shows. */
export interface RoadView {
  readonly lengthKm: number
  readonly walkOut: WalkOut
  readonly worst: WorstPushOut
  /** Stops that would help and are shut when one comes by, longer than one would wait. */
  readonly shutStops: readonly string[]
  /** Gaps of each class the trip has to do with. */
  readonly gaps: Record<string, Gap[]>
}

export function roadView(landscape: Landscape, trip: Trip, reference: Reference): RoadView {
  const helps = landscape.helps()
  const { hours, to } = landscape.pushOutToHelp(heaviestPush(trip))
  return {
    lengthKm: landscape.lengthKm,
    walkOut: {
      km: landscape.grid.km,
      hours,
      waitH: Float64Array.from(to, (help) => helps[help]?.extraH ?? 0),
      to: Array.from(to, (help) => helps[help]?.name ?? ''),
    },
    worst: worstPushOut(landscape, trip),
    shutStops: trip.stops
      .filter((stop) => isHelp(stop, reference.services) && landscape.helpWaitH(stop) > 0)
      .map(({ id }) => id),
    gaps: Object.fromEntries(classesOf(trip, reference).map((classId) => [classId, landscape.gaps(classId)])),
  }
}
