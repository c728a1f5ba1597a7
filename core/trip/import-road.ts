import { passesOnRoad, type GpxRoad, type Survey } from '../road'
import { newStop, type Stop } from '../supply'
import { Fault } from '../validation'
import type { Trip } from './schema'

/** What becomes of a trip when its road is replaced. */
export interface NewRoad {
  readonly road: Trip['road']
  readonly stops: Stop[]
  /** Stops and stretches that lie beyond the end of the new road and were left out, by name. */
  readonly leftOut: string[]
  /** Waypoints of the file that became stops. */
  readonly added: number
}

/** A waypoint farther than this from the line is no stop of this road. */
const farthestM = 20_000

/**
 * Replaces a trip's road by one read from a file: stops stay at their
 * kilometre, the file's waypoints become stops, and what would lie beyond the
 * new end is left out and named.
 *
 * @param newId gives a fresh id for each new stop
 * @throws Fault when the new road has no length
 */
export function replaceRoad(
  trip: Pick<Trip, 'road' | 'stops'>,
  gpx: GpxRoad,
  survey: Survey,
  newId: () => string,
): NewRoad {
  if (!(survey.lengthKm > 0))
    throw new Fault('the GPX file', 'points that are all at one place', 'a track or route of some length')
  const fits = (km: number) => km <= survey.lengthKm
  const kept = trip.stops.filter((stop) => fits(stop.roadKm))
  const stretches = trip.road.stretches.filter((stretch) => fits(stretch.toKm))
  const added = waypointStops(gpx, survey, kept, newId)
  return {
    road: { name: gpx.name || trip.road.name, points: gpx.points, stretches },
    stops: sortedByKm([...kept, ...added]),
    leftOut: [
      ...trip.stops.filter((stop) => !fits(stop.roadKm)).map((stop) => stop.name),
      ...trip.road.stretches.filter((stretch) => !fits(stretch.toKm)).map(({ fromKm, toKm }) => `km ${fromKm}–${toKm}`),
    ],
    added: added.length,
  }
}

/**
 * The waypoints of a file that lie near its line, as stops, one for each time
 * the line passes; those whose name a stop has already are left out.
 */
export function waypointStops(
  { points, waypoints }: Pick<GpxRoad, 'points' | 'waypoints'>,
  survey: Survey,
  stops: readonly Stop[],
  newId: () => string,
): Stop[] {
  const known = new Set(stops.map((stop) => stop.name))
  return waypoints.flatMap(({ name, hint, lat, lon }): Stop[] => {
    if (known.has(name)) return []
    const passes = passesOnRoad(points, survey, lat, lon).filter(({ offRoadM }) => offRoadM <= farthestM)
    return passes.map(({ roadKm, offRoadM }, pass) => {
      // To 10 m, but never past the end.
      const rounded = Math.min(Math.round(roadKm * 100) / 100, survey.lengthKm)
      const stop = newStop(newId(), pass === 0 ? name : `${name}, ${ordinal(pass)} time`, rounded, Math.round(offRoadM))
      return { ...stop, hint }
    })
  })
}

/** "second", "third", and then in figures. */
const ordinal = (pass: number) => ['first', 'second', 'third'][pass] ?? `${pass + 1}th`

/** Stops as one meets them. */
export function sortedByKm(stops: readonly Stop[]): Stop[] {
  return [...stops].sort((a, b) => a.roadKm - b.roadKm)
}
