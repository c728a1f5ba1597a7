import { nth } from '#core/validation'
import { onPlan, type PlanProjection } from '#core/road'

/** A plan fitted into a box of pixels: where things are drawn, and what was meant by a point in it. */
export interface PlanDrawing {
  readonly path: string
  /** The points of the path, in pixels. */
  readonly points: readonly Spot[]
  /** The pixel of a place of the road. */
  at(roadKm: number): { x: number; y: number }
  /** The place of the road nearest to a pixel. */
  nearest(x: number, y: number): number
  /** The scale bar: a round number of km, and how many pixels that is. */
  readonly bar: { km: number; px: number }
}

/** Room for names around a plan. */
const usualMargin = 36

function extent(values: Float64Array): { low: number; high: number; span: number } {
  const [low, high] = [Math.min(...values), Math.max(...values)]
  return { low, high, span: high - low }
}

/** How high a box of some width a plan wants, so that it fills it; within limits. */
export function planHeight(plan: PlanProjection, width: number, least: number, most: number): number {
  const [east, north] = [extent(plan.eastKm).span, extent(plan.northKm).span]
  const wanted = 2 * usualMargin + ((width - 2 * usualMargin) * north) / Math.max(east, 1e-6)
  return Math.round(Math.min(most, Math.max(least, wanted)))
}

/** Fits a plan into a box, to scale and north up, with a margin for names. */
export function planDrawing(plan: PlanProjection, width: number, height: number, margin = usualMargin): PlanDrawing {
  const east = extent(plan.eastKm)
  const north = extent(plan.northKm)
  const pxPerKm = Math.min(
    (width - 2 * margin) / Math.max(east.span, 1e-6),
    (height - 2 * margin) / Math.max(north.span, 1e-6),
  )
  const x = (km: number) => width / 2 + (km - (east.low + east.high) / 2) * pxPerKm
  const y = (km: number) => height / 2 - (km - (north.low + north.high) / 2) * pxPerKm
  const points = Array.from(plan.km, (_, i) => ({ x: x(nth(plan.eastKm, i)), y: y(nth(plan.northKm, i)) }))
  const barKm = scaleBarKm(Math.min(width / 4, 160) / pxPerKm)
  return {
    path: points.map((point, i) => `${i === 0 ? 'M' : 'L'}${point.x.toFixed(1)} ${point.y.toFixed(1)}`).join(''),
    points,
    at(roadKm) {
      const { eastKm, northKm } = onPlan(plan, roadKm)
      return { x: x(eastKm), y: y(northKm) }
    },
    nearest(px, py) {
      const away = points.map((point) => (point.x - px) ** 2 + (point.y - py) ** 2)
      return nth(plan.km, away.indexOf(Math.min(...away)))
    },
    bar: { km: barKm, px: barKm * pxPerKm },
  }
}

interface Spot {
  readonly x: number
  readonly y: number
}

/** Of some spots the one that is farthest from everything that is drawn; the first of equals. */
export function freest(spots: readonly [Spot, ...Spot[]], drawn: readonly Spot[]): Spot {
  const room = (spot: Spot) => Math.min(...drawn.map(({ x, y }) => Math.hypot(x - spot.x, y - spot.y)))
  return spots.reduce((best, spot) => (room(spot) > room(best) ? spot : best))
}

/** A round number of km for a scale bar of at most so many: 1, 2 or 5 times a power of ten. */
export function scaleBarKm(mostKm: number): number {
  const power = 10 ** Math.floor(Math.log10(mostKm))
  return [5, 2].map((times) => times * power).find((km) => km <= mostKm) ?? power
}
