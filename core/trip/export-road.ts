import type { Reference } from '../reference'
import { Timetable, formatWallClock } from '../ride'
import { writeGpx, type Survey } from '../road'
import type { Stop } from '../supply'
import type { Trip } from './schema'

/** What a place is, in plain words: "bike shop, food, train". */
export function gpxSymbolOf(stop: Stop, reference: Pick<Reference, 'services'>): string {
  const names = stop.services.flatMap(({ kind }) => reference.services.find(({ id }) => id === kind)?.name ?? [])
  return [...names, ...(stop.exit ? [stop.exit] : [])].join(', ') || 'place'
}

/**
 * A trip's road as GPX, its stops as waypoints; with the ride's times at every
 * point where they are wanted and known.
 */
export function exportGpx(
  trip: Pick<Trip, 'road' | 'ride' | 'stops'>,
  survey: Survey,
  reference: Pick<Reference, 'services'>,
  withTimes: boolean,
): string {
  const places = trip.stops.map((stop) => ({
    name: stop.name,
    roadKm: stop.roadKm,
    about: stop.note,
    symbol: gpxSymbolOf(stop, reference),
  }))
  if (!withTimes || trip.ride.start === null) return writeGpx(trip.road, survey, places)
  const timetable = new Timetable(survey, trip.road, trip.ride)
  const universal = (roadKm: number) => `${formatWallClock(timetable.clockAt(roadKm) - trip.ride.utcOffsetH * 60)}:00Z`
  return writeGpx(trip.road, survey, places, universal)
}
