import { nth, numberAt } from '../validation'
import { geodesicM } from './distance'
import type { RoadPoint } from './schema'
import type { Survey } from './survey'

/** Where a position lies on the road: how far along, and how far off it. */
export interface RoadPosition {
  readonly roadKm: number
  readonly offRoadM: number
}

/** The point of one step of the line that is nearest to a position. */
interface Foot {
  readonly roadKm: number
  readonly lat: number
  readonly lon: number
  readonly awayKm: number
}

/** A pass farther off than the nearest by more than this is another road’s business. */
const asNearM = 200
/** Passes closer together along the road than this are one. */
const apartKm = 1

const kmPerDegree = 111.32

/**
 * Finds the point of the line nearest to a position. The nearest step is
 * searched on a plane with the position at its origin; the distance off the
 * road is then geodesic. Where the line passes twice, the nearer pass wins.
 */
export function placeOnRoad(points: readonly RoadPoint[], survey: Survey, lat: number, lon: number): RoadPosition {
  let nearest: Foot = { roadKm: 0, lat, lon, awayKm: Infinity }
  eachFoot(points, survey, lat, lon, (foot) => {
    if (foot.awayKm < nearest.awayKm) nearest = foot
  })
  return placed(nearest, lat, lon)
}

/**
 * Every time the line passes a position about as near as it ever does, in the
 * order of the road: a shop at a crossing is met twice.
 */
export function passesOnRoad(points: readonly RoadPoint[], survey: Survey, lat: number, lon: number): RoadPosition[] {
  const { offRoadM } = placeOnRoad(points, survey, lat, lon)
  // The plane and the geodesic differ by a few metres in a kilometre.
  const limitKm = (offRoadM * 1.01 + asNearM) / 1000
  const passes: Foot[] = []
  let near = false
  eachFoot(points, survey, lat, lon, (foot) => {
    const wasNear = near
    near = foot.awayKm <= limitKm
    if (!near) return
    const last = passes.at(-1)
    const same = last && (wasNear || foot.roadKm - last.roadKm <= apartKm)
    if (!same) passes.push(foot)
    else if (foot.awayKm < last.awayKm) passes[passes.length - 1] = foot
  })
  return passes.map((foot) => placed(foot, lat, lon))
}

function placed(foot: Foot, lat: number, lon: number): RoadPosition {
  return { roadKm: foot.roadKm, offRoadM: geodesicM(lat, lon, foot.lat, foot.lon) }
}

/** Shows the nearest point of each step of the line, in order. */
function eachFoot(
  points: readonly RoadPoint[],
  survey: Survey,
  lat: number,
  lon: number,
  show: (foot: Foot) => void,
): void {
  const east = kmPerDegree * Math.cos((lat * Math.PI) / 180)
  let ax = 0
  let ay = 0
  for (let i = 0; i < points.length; i++) {
    const [pointLat, pointLon] = nth(points, i)
    const turn = ((((pointLon - lon + 540) % 360) + 360) % 360) - 180
    const bx = turn * east
    const by = (pointLat - lat) * kmPerDegree
    if (i > 0) {
      const [dx, dy] = [bx - ax, by - ay]
      const length2 = dx * dx + dy * dy
      const part = length2 > 0 ? Math.min(Math.max(-(ax * dx + ay * dy) / length2, 0), 1) : 0
      const [x, y] = [ax + part * dx, ay + part * dy]
      show({
        roadKm: numberAt(survey.km, i - 1) + part * (numberAt(survey.km, i) - numberAt(survey.km, i - 1)),
        lat: lat + y / kmPerDegree,
        lon: lon + x / east,
        awayKm: Math.hypot(x, y),
      })
    }
    ;[ax, ay] = [bx, by]
  }
}
