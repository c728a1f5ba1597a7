import { numberAt } from '../validation'
import { kmAlong, positionAt, surveyRoad, valueAt, type GpxRoad, type RoadPoint, type Survey } from '../road'
import { sortedByKm, waypointStops } from './import-road'
import type { Trip } from './schema'

/** A shorter stretch is a remnant of rounding. */
const leastStretchKm = 1e-6

/** The parts of a trip that hang on its line. */
export type RoadParts = Pick<Trip, 'road' | 'ride' | 'stops'>

/** A trip laid along another line, and what found no place on it. */
export interface Reshaped extends RoadParts {
  /** Stops, stretches and nights that were left out, by name. */
  readonly leftOut: string[]
}

/** The road ridden the other way, with everything along it. */
export function reverseRoad({ road, ride, stops }: RoadParts, lengthKm: number): RoadParts {
  const mirrored = (km: number) => Math.max(0, lengthKm - km)
  return {
    road: {
      ...road,
      points: [...road.points].reverse(),
      stretches: road.stretches
        .map((stretch) => ({ ...stretch, fromKm: mirrored(stretch.toKm), toKm: mirrored(stretch.fromKm) }))
        .reverse(),
    },
    ride: { ...ride, nights: ride.nights.map((night) => ({ ...night, roadKm: mirrored(night.roadKm) })).reverse() },
    stops: sortedByKm([...stops].reverse().map((stop) => ({ ...stop, roadKm: mirrored(stop.roadKm) }))),
  }
}

/**
 * A part of the road, its kilometres counted from the cut on.
 *
 * @param fromKm at least 0
 * @param toKm beyond fromKm, at most the length of the road
 * @throws RangeError when nothing would be left
 */
export function cutRoad({ road, ride, stops }: RoadParts, survey: Survey, fromKm: number, toKm: number): Reshaped {
  if (!(toKm > fromKm)) throw new RangeError(`nothing is left between km ${fromKm} and km ${toKm}`)
  const inside = road.points.filter((_, i) => numberAt(survey.km, i) > fromKm && numberAt(survey.km, i) < toKm)
  const points = [pointAt(road.points, survey, fromKm), ...inside, pointAt(road.points, survey, toKm)]
  const measured = kmAlong(points)
  const lengthKm = numberAt(measured, measured.length - 1)
  const shifted = (km: number) => Math.min(Math.max(km - fromKm, 0), lengthKm)
  const kept = <T extends { roadKm: number }>(places: readonly T[]) =>
    places
      .filter(({ roadKm }) => roadKm >= fromKm && roadKm <= toKm)
      .map((place) => ({ ...place, roadKm: shifted(place.roadKm) }))
  const stretches = road.stretches
    .map((stretch) => ({ ...stretch, fromKm: shifted(stretch.fromKm), toKm: shifted(stretch.toKm) }))
    // What lies outside, or ends where the cut begins, has no length any more.
    .filter((stretch) => stretch.toKm - stretch.fromKm > leastStretchKm)
  return {
    road: { ...road, points, stretches },
    ride: { ...ride, nights: kept(ride.nights) },
    stops: kept(stops),
    leftOut: stops.filter(({ roadKm }) => roadKm < fromKm || roadKm > toKm).map((stop) => stop.name),
  }
}

function pointAt(points: readonly RoadPoint[], survey: Survey, atKm: number): RoadPoint {
  const { lat, lon } = positionAt(points, survey, atKm)
  return [lat, lon, survey.eleM ? valueAt(survey.km, survey.eleM, atKm) : null]
}

/**
 * A second line put on the end of the road, with its waypoints as stops. What
 * lies between the two ends is taken as straight.
 */
export function joinRoads(along: RoadParts, gpx: GpxRoad, newId: () => string): Reshaped {
  const points = [...along.road.points, ...gpx.points]
  const survey = surveyRoad(points)
  const added = waypointStops({ ...gpx, points }, survey, along.stops, newId)
  return {
    ...along,
    road: { ...along.road, name: along.road.name || gpx.name, points },
    stops: sortedByKm([...along.stops, ...added]),
    leftOut: [],
  }
}
