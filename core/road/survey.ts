import { nth, numberAt } from '../validation'
import { kmAlong } from './distance'
import { climbAlong, climbRule, filledElevation, smoothedElevation } from './elevation'
import type { RoadPoint } from './schema'

/** What has been measured along a road, one value a point. */
export interface Survey {
  readonly km: Float64Array
  /** Smoothed elevation, or null when the road has none. */
  readonly eleM: Float64Array | null
  /** Metres climbed and descended since the start; zeros when the road has no elevation. */
  readonly upM: Float64Array
  readonly downM: Float64Array
  readonly lengthKm: number
  /** Total climb, or null when the road has no elevation. */
  readonly climbM: number | null
}

/** Measures a road once; everything else about distance and climb is read from the survey. */
export function surveyRoad(points: readonly RoadPoint[]): Survey {
  const km = kmAlong(points)
  const n = points.length
  const lengthKm = n > 0 ? numberAt(km, n - 1) : 0
  const known = filledElevation(points, km)
  if (!known || n < 2) {
    return { km, eleM: null, upM: new Float64Array(n), downM: new Float64Array(n), lengthKm, climbM: null }
  }
  const eleM = smoothedElevation(known, km, climbRule.windowM)
  const { upM, downM } = climbAlong(eleM, climbRule.thresholdM)
  return { km, eleM, upM, downM, lengthKm, climbM: numberAt(upM, n - 1) }
}

/** The index of the last point at or before a place on the road. */
export function pointBefore(km: Float64Array, atKm: number): number {
  let low = 0
  let high = km.length - 1
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (numberAt(km, middle) <= atKm) low = middle
    else high = middle - 1
  }
  return low
}

/** A measured quantity between two points, in a straight line. */
export function valueAt(km: Float64Array, values: Float64Array, atKm: number): number {
  const i = pointBefore(km, atKm)
  if (i >= km.length - 1) return numberAt(values, km.length - 1)
  const step = numberAt(km, i + 1) - numberAt(km, i)
  const part = step > 0 ? Math.min(Math.max((atKm - numberAt(km, i)) / step, 0), 1) : 0
  return numberAt(values, i) + part * (numberAt(values, i + 1) - numberAt(values, i))
}

/** The position on the line at a distance from the start. */
export function positionAt(points: readonly RoadPoint[], survey: Survey, atKm: number): { lat: number; lon: number } {
  const i = Math.min(pointBefore(survey.km, atKm), points.length - 2)
  const step = numberAt(survey.km, i + 1) - numberAt(survey.km, i)
  const part = step > 0 ? Math.min(Math.max((atKm - numberAt(survey.km, i)) / step, 0), 1) : 0
  const [latA, lonA] = nth(points, i)
  const [latB, lonB] = nth(points, i + 1)
  // The short way round where a step crosses the 180° meridian.
  const turn = ((((lonB - lonA + 540) % 360) + 360) % 360) - 180
  const lon = lonA + part * turn
  return { lat: latA + part * (latB - latA), lon: ((((lon + 540) % 360) + 360) % 360) - 180 }
}
