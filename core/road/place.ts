import { geodesicM } from './distance'
import type { RoadPoint } from './schema'
import type { Survey } from './survey'

/** Where a position lies on the road: how far along, and how far off it. */
export interface Placed {
  readonly roadKm: number
  readonly offRoadM: number
}

/**
 * Finds the point of the line nearest to a position. The nearest step is
 * searched on a plane with the position at its origin; the distance off the
 * road is then geodesic. Where the line passes twice, the nearer pass wins.
 */
export function placeOnRoad(points: readonly RoadPoint[], survey: Survey, lat: number, lon: number): Placed {
  const kmPerDegree = 111.32
  const east = kmPerDegree * Math.cos((lat * Math.PI) / 180)
  let nearest = Infinity
  let roadKm = 0
  let foot: [number, number] = [lat, lon]
  let [ax, ay] = [0, 0]
  for (let i = 0; i < points.length; i++) {
    const [pointLat, pointLon] = points[i]!
    const turn = ((((pointLon - lon + 540) % 360) + 360) % 360) - 180
    const bx = turn * east
    const by = (pointLat - lat) * kmPerDegree
    if (i > 0) {
      const [dx, dy] = [bx - ax, by - ay]
      const length2 = dx * dx + dy * dy
      const part = length2 > 0 ? Math.min(Math.max(-(ax * dx + ay * dy) / length2, 0), 1) : 0
      const [x, y] = [ax + part * dx, ay + part * dy]
      const away = x * x + y * y
      if (away < nearest) {
        nearest = away
        roadKm = survey.km[i - 1]! + part * (survey.km[i]! - survey.km[i - 1]!)
        foot = [lat + y / kmPerDegree, east > 0 ? lon + x / east : lon]
      }
    }
    ;[ax, ay] = [bx, by]
  }
  return { roadKm, offRoadM: geodesicM(lat, lon, foot[0], foot[1]) }
}
