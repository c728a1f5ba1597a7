import geodesic from 'geographiclib-geodesic'
import type { RoadPoint } from './schema'

const wgs84 = geodesic.Geodesic.WGS84
const onlyDistance = geodesic.Geodesic.DISTANCE

/**
 * The shortest way over the ellipsoid between two positions.
 *
 * @returns metres on WGS 84
 * Source: C. F. F. Karney, "Algorithms for geodesics", J. Geodesy 87 (2013), as in GeographicLib.
 */
export function geodesicM(latA: number, lonA: number, latB: number, lonB: number): number {
  return wgs84.Inverse(latA, lonA, latB, lonB, onlyDistance).s12 ?? 0
}

/** Kilometres from the first point to each point along the line. */
export function kmAlong(points: readonly RoadPoint[]): Float64Array {
  const km = new Float64Array(points.length)
  for (let i = 1; i < points.length; i++) {
    const [latA, lonA] = points[i - 1]!
    const [latB, lonB] = points[i]!
    km[i] = km[i - 1]! + geodesicM(latA, lonA, latB, lonB) / 1000
  }
  return km
}
