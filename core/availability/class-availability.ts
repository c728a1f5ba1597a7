import type { WallMinutes } from '../ride'
import { pointBefore, type Gap } from '../road'
import { isPostedTo } from '../supply'
import type { Trip } from '../trip'
import { nth, numberAt } from '../validation'
import { heaviestPush } from './classes'
import type { Landscape } from './landscape'
import type { Found, Finding } from './resupply'

/** A place along a class and how the class is found there. */
export interface StopAvailability {
  readonly stop: string
  readonly name: string
  readonly roadKm: number
  readonly finding: Exclude<Finding, 'none'>
  /** The kind of the service that has it best. */
  readonly kind: string
  readonly chance: number
  readonly arrives: WallMinutes | null
  /** When it next opens, where it is shut. */
  readonly opens: WallMinutes | null
  /** Hours one would wait for it. */
  readonly waitH: number | null
  /** A parcel of one's own. */
  readonly parcel: boolean
}

/** A gap of a class, with its length in every way a rider counts. */
export interface AvailabilityGap extends Gap {
  /** Hours in the saddle; null while the start is unknown. */
  readonly ridingH: number | null
  /** Days and nights from one end to the other; null while the start is unknown. */
  readonly days: number | null
  /** Hours on foot to where it can be had or the road ends, the mean over the gap. */
  readonly meanWalkH: number
  readonly worstWalkH: number
  readonly worstAtKm: number
  /** Places inside that might have had it, and why they do not count. */
  readonly passed: readonly StopAvailability[]
}

/** All there is to know of where one class can be had. */
export interface ClassAvailability {
  readonly classId: string
  readonly places: readonly StopAvailability[]
  readonly gaps: readonly AvailabilityGap[]
  /** The number of the longest gap. */
  readonly longest: number
}

/** Lays out one supply class along the road. */
export function availabilityOf(
  landscape: Landscape,
  trip: Pick<Trip, 'stops' | 'bikes'>,
  classId: string,
): ClassAvailability {
  const found = landscape.found(classId)
  const places = trip.stops
    .flatMap((stop, i) => placeOf(stop.id, stop.name, stop.roadKm, nth(found, i), classId))
    .sort((a, b) => a.roadKm - b.roadKm)
  const walk = landscape.walkTo(classId, heaviestPush(trip))
  const gaps = landscape.gaps(classId).map((gap) => measured(gap, landscape, walk, places))
  const longest = gaps.reduce((best, gap, i) => (gap.km > nth(gaps, best).km ? i : best), 0)
  return { classId, places, gaps, longest }
}

function placeOf(stop: string, name: string, roadKm: number, found: Found, classId: string): StopAvailability[] {
  const { finding, service, chance, visit } = found
  if (finding === 'none' || !service) return []
  const shut = visit?.found === 'shut'
  return [
    {
      stop,
      name,
      roadKm,
      finding,
      kind: service.kind,
      chance,
      arrives: visit?.stay.arrives ?? null,
      opens: shut && visit.waitH !== null ? visit.stay.leaves + visit.waitH * 60 : null,
      waitH: shut ? visit.waitH : 0,
      parcel: isPostedTo(service, classId),
    },
  ]
}

function measured(
  gap: Gap,
  landscape: Landscape,
  walk: Float64Array,
  places: readonly StopAvailability[],
): AvailabilityGap {
  const { timetable, grid } = landscape
  let walked = 0
  let worst = { hours: -1, km: gap.fromKm }
  for (let i = pointBefore(grid.km, gap.fromKm); i < grid.km.length; i++) {
    const km = numberAt(grid.km, i)
    if (km > gap.toKm) break
    if (km < gap.fromKm) continue
    if (numberAt(walk, i) > worst.hours) worst = { hours: numberAt(walk, i), km }
    if (km < gap.toKm && i + 1 < grid.km.length) {
      walked += ((numberAt(walk, i) + numberAt(walk, i + 1)) / 2) * (numberAt(grid.km, i + 1) - km)
    }
  }
  return {
    ...gap,
    ridingH: timetable ? timetable.ridingHoursTo(gap.toKm) - timetable.ridingHoursTo(gap.fromKm) : null,
    days: timetable ? (timetable.clockAt(gap.toKm) - timetable.stayAt(gap.fromKm).leaves) / (24 * 60) : null,
    meanWalkH: gap.km > 0 ? walked / gap.km : 0,
    worstWalkH: worst.hours,
    worstAtKm: worst.km,
    passed: places.filter(({ roadKm }) => roadKm > gap.fromKm && roadKm < gap.toKm),
  }
}

/** Availability of some classes, the longest gap first. */
export function availabilitiesOf(
  landscape: Landscape,
  trip: Pick<Trip, 'stops' | 'bikes'>,
  classIds: readonly string[],
): ClassAvailability[] {
  const longestKm = (availability: ClassAvailability) => nth(availability.gaps, availability.longest).km
  return classIds.map((classId) => availabilityOf(landscape, trip, classId)).sort((a, b) => longestKm(b) - longestKm(a))
}
