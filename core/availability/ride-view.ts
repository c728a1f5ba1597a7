import { clockDoubt, withDaylight, type ClockDoubt, type DaylitDay, type Stay, type Visit } from '../ride'
import { positionAt, type Survey } from '../road'
import type { Trip } from '../trip'
import type { Landscape } from './landscape'

/** How a stop is found on the day one comes by: one visit for each of its services, in their order. */
export interface StopVisit {
  readonly stop: string
  readonly stay: Stay
  readonly visits: readonly Visit[]
}

/** The ride by date and clock. */
export interface RideView {
  readonly days: readonly DaylitDay[]
  readonly stops: readonly StopVisit[]
  /** Where the clock can hardly be that of the road’s middle. */
  readonly clockDoubt: ClockDoubt | null
}

/** What the calendar of a ride shows; undefined while its start is unknown. */
export function rideView(
  landscape: Landscape,
  trip: Pick<Trip, 'road' | 'ride' | 'stops'>,
  survey: Survey,
): RideView | undefined {
  const { timetable } = landscape
  if (!timetable) return undefined
  const middle = positionAt(trip.road.points, survey, survey.lengthKm / 2)
  return {
    clockDoubt: clockDoubt(middle.lon, trip.ride.utcOffsetH),
    days: withDaylight(timetable.days, trip.road.points, survey, trip.ride),
    stops: trip.stops.map((stop) => ({
      stop: stop.id,
      stay: timetable.stayAt(stop.roadKm),
      visits: stop.services.flatMap((service) => landscape.visitTo(service) ?? []),
    })),
  }
}
