import type { Reference } from '../reference'
import type { Gap } from '../road'
import type { Trip } from '../trip'
import { classesOf, heaviestPush, worstPushOut, type WorstPushOut } from './classes'
import type { Landscape } from './landscape'

/** The walk out along the road, for drawing and reading off. */
export interface WalkOut {
  readonly km: Float64Array
  readonly hours: Float64Array
  /** Name of the place walked to from each point. */
  readonly to: string[]
}

/** What the road strip shows. */
export interface RoadView {
  readonly lengthKm: number
  readonly walkOut: WalkOut
  readonly worst: WorstPushOut
  /** Gaps of each class the trip has to do with. */
  readonly gaps: Record<string, Gap[]>
}

export function roadView(landscape: Landscape, trip: Trip, reference: Reference): RoadView {
  const helps = landscape.helps()
  const { hours, to } = landscape.pushOutToHelp(heaviestPush(trip))
  return {
    lengthKm: landscape.lengthKm,
    walkOut: { km: landscape.grid.km, hours, to: Array.from(to, (help) => helps[help]?.name ?? '') },
    worst: worstPushOut(landscape, trip),
    gaps: Object.fromEntries(classesOf(trip, reference).map((classId) => [classId, landscape.gaps(classId)])),
  }
}
