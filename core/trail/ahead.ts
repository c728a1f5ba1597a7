import { availabilityOf, heaviestPush, placeReportAt, type PlaceReport, type StopAvailability } from '../availability'
import { indexLedger } from '../ledger'
import type { Reference } from '../reference'
import type { Visit, WallMinutes } from '../ride'
import { valueAt, type Survey } from '../road'
import { choiceOf } from '../search'
import { hoursAtStake, type EventNote } from '../trip-ledger'
import { nth } from '../validation'
import type { Onward } from './onward'

/** A stop on what is left of the road. */
export interface StopAhead {
  readonly stop: string
  readonly name: string
  readonly roadKm: number
  readonly arrives: WallMinutes | null
  readonly services: readonly { readonly kind: string; readonly name: string; readonly visit: Visit | null }[]
  readonly canLeave: boolean
}

/** Where a class is had next, and what there is of it. */
export interface NextOfClass {
  readonly classId: string
  /** The next place ahead that is trusted to have it; null where there is none till the end. */
  readonly place: StopAvailability | null
  /** One before it that may have it, though one would not count on it. */
  readonly perhaps: StopAvailability | null
  /** Hours that hang on it on the rest of the road. */
  readonly atStakeH: number
  /** So much of it is in the bags, in the unit of the class. */
  readonly have: number
}

/** All that is ahead of riders on their way. */
export interface RoadAhead {
  readonly report: PlaceReport
  readonly stops: readonly StopAhead[]
  /** The classes on which anything hangs, the most first. */
  readonly classes: readonly NextOfClass[]
  /** Hours on foot to help from places of the rest of the road, as a line to be drawn. */
  readonly toHelp: readonly { readonly km: number; readonly hours: number }[]
}

/** What the rest of a road is expected to cost with what there is. */
export interface PromiseAhead {
  readonly promiseH: number
  readonly walkH: number
  readonly stranded: number
}

/** On less than so many hours nothing hangs to speak of. */
const leastAtStakeH = 0.01

/** A stop that lies behind by no more than this, km, is where riders are. */
const atTheStopKm = 0.1

/** What is ahead of a ride that is taken up on its way. */
export function roadAhead(
  { trip, laid, costs }: Onward,
  survey: Survey,
  { services }: Pick<Reference, 'services'>,
): RoadAhead {
  const { fromKm = 0 } = trip
  const atStake = hoursAtStake(laid)
  const { timetable } = costs
  const isAhead = ({ roadKm }: { readonly roadKm: number }) => roadKm >= fromKm - atTheStopKm
  const kindName = (kind: string) => services.find(({ id }) => id === kind)?.name ?? kind
  const classes = Object.entries(atStake)
    .filter(([, hours]) => hours > leastAtStakeH)
    .map(([classId, atStakeH]): NextOfClass => {
      const places = availabilityOf(costs, trip, classId).places.filter(isAhead)
      const place = places.find(({ finding }) => isTrusted(finding)) ?? null
      const perhaps = places.find(({ roadKm, finding }) => !isTrusted(finding) && (!place || roadKm < place.roadKm))
      const have = trip.bench.reduce((sum, { count, units }) => sum + count * (units[classId] ?? 0), 0)
      return { classId, place, perhaps: perhaps ?? null, atStakeH, have }
    })
  const stops = trip.stops
    .filter(isAhead)
    .sort((a, b) => a.roadKm - b.roadKm)
    .map(({ id, name, roadKm, services: there, exit }): StopAhead => ({
      stop: id,
      name,
      roadKm,
      arrives: timetable?.stayAt(Math.max(roadKm, fromKm)).arrives ?? null,
      services: there.map((service) => ({
        kind: service.kind,
        name: kindName(service.kind),
        visit: costs.visitTo(service) ?? null,
      })),
      canLeave: exit !== null,
    }))
  return {
    report: placeReportAt(costs, trip, survey, fromKm),
    stops,
    classes: classes.sort((a, b) => b.atStakeH - a.atStakeH),
    toHelp: toHelpFrom(fromKm, costs, trip),
  }
}

/** More points than a telephone shows. */
const pointsOfLine = 120

function toHelpFrom(fromKm: number, costs: Onward['costs'], trip: Onward['trip']): RoadAhead['toHelp'] {
  const { km } = costs.grid
  const { hours } = costs.pushOutToHelp(heaviestPush(trip))
  const step = (costs.lengthKm - fromKm) / (pointsOfLine - 1)
  return Array.from({ length: pointsOfLine }, (_, i) => {
    const at = fromKm + i * step
    return { km: at, hours: valueAt(km, hours, at) }
  })
}

/** The promise of the rest of a road with all that is in the bags. */
export function promiseAhead({ trip, laid }: Onward): PromiseAhead {
  const everything = trip.bench.map(({ count }) => count)
  const { promiseH, walkH, stranded } = choiceOf(indexLedger(laid.ledger), everything)
  return { promiseH, walkH, stranded }
}

/** Whether one counts on having a class at a place. */
export const isTrusted = (finding: StopAvailability['finding']) =>
  finding === 'had' || finding === 'uncertain' || finding === 'waited'

/** Where what settles a failure for good may be had: the next place ahead, and the last one behind. */
export interface WhereSettled {
  readonly ahead: StopAvailability | null
  readonly behind: StopAvailability | null
}

/** Where riders go with something that is mended for now, or not at all. */
export function whereSettled({ trip, costs }: Onward, { settledBy }: Pick<EventNote, 'settledBy'>): WhereSettled {
  const { fromKm = 0 } = trip
  const places = settledBy
    .flatMap((classId) => availabilityOf(costs, trip, classId).places)
    .sort((a, b) => a.roadKm - b.roadKm || b.chance - a.chance)
  const trusted = places.filter(({ finding }) => isTrusted(finding))
  const from = trusted.length > 0 ? trusted : places
  const behind = from.findLastIndex(({ roadKm }) => roadKm < fromKm - atTheStopKm)
  return {
    ahead: from.find(({ roadKm }) => roadKm >= fromKm - atTheStopKm) ?? null,
    behind: behind < 0 ? null : nth(from, behind),
  }
}
