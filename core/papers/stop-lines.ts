import { availabilitiesOf, type CostsOfFailing } from '../availability'
import type { Stay, Visit } from '../ride'
import type { Stop } from '../supply'
import type { Trip } from '../trip'
import { hoursAtStake, type LedgerOfTrip } from '../trip-ledger'

/** A stop with its shops as they are found when one comes by. */
export interface StopLine {
  readonly name: string
  readonly roadKm: number
  readonly offRoadM: number
  /** When one is there; null while nobody knows when the ride begins. */
  readonly stay: Stay | null
  readonly services: readonly { readonly kind: string; readonly hours: string; readonly visit: Visit | null }[]
  readonly exit: Stop['exit']
  readonly exitWaitH: number
  readonly bigWrench: boolean
}

/** Stops along the road, in its order. */
export const stopLines = ({ stops }: Pick<Trip, 'stops'>, costs: CostsOfFailing): StopLine[] =>
  [...stops]
    .sort((a, b) => a.roadKm - b.roadKm)
    .map(({ name, roadKm, offRoadM, services, exit, exitWaitH, bigWrench }) => ({
      name,
      roadKm,
      offRoadM,
      stay: costs.timetable?.stayAt(roadKm) ?? null,
      services: services.map((service) => ({
        kind: service.kind,
        hours: service.hours,
        visit: costs.visitTo(service) ?? null,
      })),
      exit,
      exitWaitH,
      bigWrench,
    }))

/** Where a kind of part can be had, and the stretches without. */
export interface GapLine {
  readonly classId: string
  readonly places: readonly { readonly name: string; readonly roadKm: number }[]
  readonly gaps: readonly { readonly fromKm: number; readonly toKm: number }[]
}

/** So many kinds of parts are told of. */
const mostClasses = 8

/** The kinds of parts on which most hours hang, and where each can be had. */
export function gapLines(trip: Pick<Trip, 'stops' | 'bikes'>, costs: CostsOfFailing, laid: LedgerOfTrip): GapLine[] {
  const stakes = hoursAtStake(laid)
  const classes = Object.keys(stakes)
    .sort((a, b) => (stakes[b] ?? 0) - (stakes[a] ?? 0))
    .slice(0, mostClasses)
  const found = new Map(availabilitiesOf(costs, trip, classes).map((each) => [each.classId, each]))
  return classes.flatMap((classId) => {
    const availability = found.get(classId)
    if (!availability) return []
    const { places, gaps } = availability
    return [
      {
        classId,
        places: places.filter(({ finding }) => finding === 'had').map(({ name, roadKm }) => ({ name, roadKm })),
        gaps: gaps.map(({ fromKm, toKm }) => ({ fromKm, toKm })),
      },
    ]
  })
}
