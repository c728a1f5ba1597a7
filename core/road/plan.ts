import { nth, numberAt } from '../validation'
import type { RoadPoint } from './schema'
import { valueAt, type Survey } from './survey'

/** The road as seen from above, in km east and north of its middle. */
export interface PlanProjection {
  /** Where along the road each point of the drawing lies. */
  readonly km: Float64Array
  readonly eastKm: Float64Array
  readonly northKm: Float64Array
}

/** Mean radius of the earth (IUGG), in km. */
const earthKm = 6371.0088
/** More points than this nobody sees. */
const mostDrawn = 2000

type Vector = readonly [x: number, y: number, z: number]

const radians = (degrees: number) => (degrees * Math.PI) / 180

function onSphere(lat: number, lon: number): Vector {
  const [phi, lambda] = [radians(lat), radians(lon)]
  return [Math.cos(phi) * Math.cos(lambda), Math.cos(phi) * Math.sin(lambda), Math.sin(phi)]
}

/**
 * Draws the road to scale, north up at its middle: distances and directions
 * from the middle are true, so neither the 180° meridian nor a pole is in the
 * way.
 *
 * @param points at least two
 * Source: azimuthal equidistant projection, J. P. Snyder, "Map Projections: A
 * Working Manual", USGS Professional Paper 1395 (1987), equations 22-4, 22-5
 * and 25-2 to 25-4, on a sphere.
 */
export function projectPlan(points: readonly RoadPoint[], survey: Survey): PlanProjection {
  const step = Math.max(1, Math.ceil(points.length / mostDrawn))
  const kept = points.map((_, i) => i).filter((i) => i % step === 0 || i === points.length - 1)
  const { phi: phi1, lambda: lambda0 } = middleOf(kept.map((i) => onSphere(nth(points, i)[0], nth(points, i)[1])))
  const eastKm = new Float64Array(kept.length)
  const northKm = new Float64Array(kept.length)
  kept.forEach((i, drawn) => {
    const phi = radians(nth(points, i)[0])
    const turn = radians(nth(points, i)[1]) - lambda0
    const cosine = Math.sin(phi1) * Math.sin(phi) + Math.cos(phi1) * Math.cos(phi) * Math.cos(turn)
    const c = Math.acos(Math.min(1, Math.max(-1, cosine)))
    const scale = earthKm * (c < 1e-9 ? 1 : c / Math.sin(c))
    eastKm[drawn] = scale * Math.cos(phi) * Math.sin(turn)
    northKm[drawn] = scale * (Math.cos(phi1) * Math.sin(phi) - Math.sin(phi1) * Math.cos(phi) * Math.cos(turn))
  })
  return { km: Float64Array.from(kept, (i) => numberAt(survey.km, i)), eastKm, northKm }
}

/** Where a place of the road lies on the plan. */
export function onPlan(plan: PlanProjection, atKm: number): { eastKm: number; northKm: number } {
  return { eastKm: valueAt(plan.km, plan.eastKm, atKm), northKm: valueAt(plan.km, plan.northKm, atKm) }
}

function middleOf(vectors: readonly Vector[]): { phi: number; lambda: number } {
  const [x, y, z] = vectors.reduce<Vector>((sum, v) => [sum[0] + v[0], sum[1] + v[1], sum[2] + v[2]], [0, 0, 0])
  return { phi: Math.atan2(z, Math.hypot(x, y)), lambda: Math.atan2(y, x) }
}
