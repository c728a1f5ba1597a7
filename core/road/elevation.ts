import { nth, numberAt } from '../validation'
import type { RoadPoint } from './schema'

/** How climb is told from noise. Both are planning values and are shown beside the sum. */
export const climbRule = { windowM: 100, thresholdM: 3 } as const

/**
 * Elevation at every point, with holes filled in straight lines between the
 * nearest known points.
 *
 * @returns metres, or null when no point has an elevation
 */
export function filledElevation(points: readonly RoadPoint[], km: Float64Array): Float64Array | null {
  const eleM = new Float64Array(points.length)
  /** The last point before with an elevation; −1 where there is none. */
  let known = -1
  for (const [i, [, , ele]] of points.entries()) {
    if (ele === null) continue
    const rise = known < 0 ? 0 : ele - numberAt(eleM, known)
    const runKm = known < 0 ? 0 : numberAt(km, i) - numberAt(km, known)
    for (let hole = known + 1; hole < i; hole++) {
      const alongKm = runKm > 0 ? numberAt(km, hole) - numberAt(km, known) : 0
      eleM[hole] = known < 0 ? ele : numberAt(eleM, known) + (runKm > 0 ? (rise * alongKm) / runKm : 0)
    }
    eleM[i] = ele
    known = i
  }
  if (known < 0) return null
  eleM.fill(numberAt(eleM, known), known + 1)
  return eleM
}

/**
 * Takes the noise out of an elevation profile: the mean over a window centred
 * on each point, weighted by distance and narrowed towards both ends so that
 * start and finish keep their height. Linear in the number of points.
 */
export function smoothedElevation(eleM: Float64Array, km: Float64Array, windowM: number): Float64Array {
  const n = eleM.length
  const area = new Float64Array(n)
  for (let i = 1; i < n; i++) {
    area[i] =
      numberAt(area, i - 1) +
      ((numberAt(eleM, i) + numberAt(eleM, i - 1)) / 2) * (numberAt(km, i) - numberAt(km, i - 1))
  }
  let low = 0
  let high = 0
  const areaTo = (x: number, from: number): [number, number] => {
    let i = from
    while (i < n - 2 && numberAt(km, i + 1) < x) i++
    const step = numberAt(km, i + 1) - numberAt(km, i)
    const part = step > 0 ? (x - numberAt(km, i)) / step : 0
    const eleAtX = numberAt(eleM, i) + part * (numberAt(eleM, i + 1) - numberAt(eleM, i))
    return [numberAt(area, i) + ((numberAt(eleM, i) + eleAtX) / 2) * (x - numberAt(km, i)), i]
  }
  const smooth = new Float64Array(n)
  const end = numberAt(km, n - 1)
  for (let i = 0; i < n; i++) {
    const half = Math.min(windowM / 2000, numberAt(km, i), end - numberAt(km, i))
    if (half <= 0) {
      smooth[i] = numberAt(eleM, i)
      continue
    }
    // Both edges of the window only ever move forward, so the search is one pass in all.
    const [before, lowAt] = areaTo(numberAt(km, i) - half, low)
    const [after, highAt] = areaTo(numberAt(km, i) + half, Math.max(high, lowAt))
    low = lowAt
    high = highAt
    smooth[i] = (after - before) / (2 * half)
  }
  return smooth
}

/**
 * Metres climbed and descended from the start to each point. A rise or fall
 * counts once it exceeds the threshold, so wobble below it adds nothing.
 */
export function climbAlong(eleM: Float64Array, thresholdM: number): { upM: Float64Array; downM: Float64Array } {
  const turns = turningPoints(eleM, thresholdM)
  const upM = new Float64Array(eleM.length)
  const downM = new Float64Array(eleM.length)
  for (let t = 1; t < turns.length; t++) {
    const from = nth(turns, t - 1)
    const to = nth(turns, t)
    const climbing = numberAt(eleM, to) >= numberAt(eleM, from)
    const [along, still] = climbing ? [upM, downM] : [downM, upM]
    const full = Math.abs(numberAt(eleM, to) - numberAt(eleM, from))
    let gained = 0
    for (let i = from + 1; i <= to; i++) {
      gained = Math.min(full, Math.max(gained, Math.abs(numberAt(eleM, i) - numberAt(eleM, from))))
      along[i] = numberAt(along, from) + gained
      still[i] = numberAt(still, from)
    }
  }
  return { upM, downM }
}

/** Indices of the start, of each summit and hollow that stands out by the threshold, and of the end. */
function turningPoints(eleM: Float64Array, thresholdM: number): number[] {
  const last = eleM.length - 1
  const turns = [0]
  let highest = 0
  let lowest = 0
  let heading: 'up' | 'down' | 'unknown' = 'unknown'
  for (let i = 1; i <= last; i++) {
    if (numberAt(eleM, i) > numberAt(eleM, highest)) highest = i
    if (numberAt(eleM, i) < numberAt(eleM, lowest)) lowest = i
    if (heading !== 'down' && numberAt(eleM, highest) - numberAt(eleM, i) >= thresholdM) {
      if (highest > nth(turns, turns.length - 1)) turns.push(highest)
      heading = 'down'
      lowest = i
      highest = i
    } else if (heading !== 'up' && numberAt(eleM, i) - numberAt(eleM, lowest) >= thresholdM) {
      if (lowest > nth(turns, turns.length - 1)) turns.push(lowest)
      heading = 'up'
      highest = i
      lowest = i
    }
  }
  const tail = heading === 'up' ? highest : heading === 'down' ? lowest : last
  if (tail > nth(turns, turns.length - 1)) turns.push(tail)
  if (nth(turns, turns.length - 1) < last) turns.push(last)
  return turns
}
