import { nth, defined, numberAt } from '../validation'
import { pointBefore, valueAt, type Survey } from './survey'
import { levelHours, walkingAlong, type WalkingMethod } from './walking'

/** A place where a failure can be settled, or the ride left. */
export interface Help {
  readonly roadKm: number
  readonly offRoadM: number
  /** Hours it costs beyond the walk: a wait, or the ride that ends there. */
  readonly extraH: number
}

/** Evenly spaced places along the road at which walking is worked out, with every stop among them. */
export interface WalkGrid {
  readonly km: Float64Array
  readonly aheadH: Float64Array
  readonly backH: Float64Array
  readonly method: WalkingMethod
}

/** Nodes enough that the push-out between two of them is a straight line to well under a minute on a touring road. */
const nodes = 800

/**
 * Lays the grid: walking times from the start at about 800 nodes and at each
 * of the given places.
 */
export function walkGrid(survey: Survey, places: readonly number[], method: WalkingMethod): WalkGrid {
  const { ahead, back } = walkingAlong(survey, method)
  const step = survey.lengthKm / nodes
  const all = new Set<number>(places.filter((km) => km >= 0 && km <= survey.lengthKm))
  for (let i = 0; i <= nodes; i++) all.add(i === nodes ? survey.lengthKm : i * step)
  const km = Float64Array.from(all).sort()
  const along = (values: Float64Array) => km.map((at) => valueAt(survey.km, values, at))
  return { km, aheadH: along(ahead), backH: along(back), method }
}

/** The walk from every node of a grid. */
export interface PushOutPath {
  /** Hours from each grid node to the nearest help, pushing the bike. */
  readonly hours: Float64Array
  /** Which of the helps that is; −1 where none can be reached. */
  readonly to: Int32Array
}

/** The walk to the nearest help, and what it is when one only goes on, or only back. */
export interface PushOut extends PushOutPath {
  readonly ahead: PushOutPath
  readonly back: PushOutPath
}

/**
 * The push-out: from every node the least walking time to any place that
 * helps, ahead or behind, with the distance off the road.
 *
 * @param helps of two that are as near, the one that comes first in the list is named
 * @param pushFactor how much slower than a walker one is with a loaded bike (1 or more)
 * Two sweeps over the grid; linear in nodes and helps.
 */
export function pushOut(grid: WalkGrid, helps: readonly Help[], pushFactor: number): PushOut {
  const last = grid.km.length - 1
  const met = (step: 1 | -1) =>
    helps.map((_, i) => i).sort((a, b) => step * (nth(helps, a).roadKm - nth(helps, b).roadKm))
  // In hours of plain walking, so that the whole may be scaled at the end.
  const offH = helps.map((help) => levelHours(help.offRoadM / 1000, grid.method) + help.extraH / pushFactor)

  /** Walks the grid from one end, carrying along the cheapest place passed so far. */
  function sweep(along: readonly number[], from: number, step: 1 | -1, walked: Float64Array): PushOutPath {
    const way = emptyWay(grid)
    let best = Infinity
    let which = -1
    let next = 0
    for (let node = from; node >= 0 && node <= last; node += step) {
      while (next < along.length && (numberAt(grid.km, node) - defined(helps[nth(along, next)]).roadKm) * step >= 0) {
        const help = nth(along, next++)
        const value = nth(offH, help) - step * valueAt(grid.km, walked, nth(helps, help).roadKm)
        if (value < best) [best, which] = [value, help]
      }
      way.hours[node] = (best + step * numberAt(walked, node)) * pushFactor
      way.to[node] = which
    }
    return way
  }
  const back = sweep(met(1), 0, 1, grid.backH)
  const ahead = sweep(met(-1), last, -1, grid.aheadH)
  const nearest = emptyWay(grid)
  for (let node = 0; node <= last; node++) {
    const better = numberAt(back.hours, node) <= numberAt(ahead.hours, node) ? back : ahead
    nearest.hours[node] = numberAt(better.hours, node)
    nearest.to[node] = nth(better.to, node)
  }
  return { ...nearest, ahead, back }
}

function emptyWay(grid: WalkGrid): PushOutPath {
  const n = grid.km.length
  return { hours: new Float64Array(n).fill(Infinity), to: new Int32Array(n).fill(-1) }
}

/** The node of a grid that lies nearest to a place on the road. */
export function nearestNode({ km }: Pick<WalkGrid, 'km'>, roadKm: number): number {
  const before = pointBefore(km, roadKm)
  const after = Math.min(before + 1, km.length - 1)
  return roadKm - numberAt(km, before) <= numberAt(km, after) - roadKm ? before : after
}
