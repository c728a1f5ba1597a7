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
  const known: number[] = []
  points.forEach((point, i) => {
    if (point[2] !== null) known.push(i)
  })
  if (known.length === 0) return null
  const eleM = new Float64Array(points.length)
  let next = 0
  for (let i = 0; i < points.length; i++) {
    while (next < known.length && known[next]! < i) next++
    const after = known[Math.min(next, known.length - 1)]!
    const before = known[next] === i ? i : known[Math.max(0, next - 1)]!
    const rise = points[after]![2]! - points[before]![2]!
    const run = km[after]! - km[before]!
    const along = Math.min(Math.max(km[i]! - km[before]!, 0), Math.max(run, 0))
    eleM[i] = points[before]![2]! + (run > 0 ? (rise * along) / run : 0)
  }
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
    area[i] = area[i - 1]! + ((eleM[i]! + eleM[i - 1]!) / 2) * (km[i]! - km[i - 1]!)
  }
  let low = 0
  let high = 0
  const areaTo = (x: number, from: number): [number, number] => {
    let i = from
    while (i < n - 2 && km[i + 1]! < x) i++
    const step = km[i + 1]! - km[i]!
    const part = step > 0 ? (x - km[i]!) / step : 0
    const eleAtX = eleM[i]! + part * (eleM[i + 1]! - eleM[i]!)
    return [area[i]! + ((eleM[i]! + eleAtX) / 2) * (x - km[i]!), i]
  }
  const smooth = new Float64Array(n)
  const end = km[n - 1]!
  for (let i = 0; i < n; i++) {
    const half = Math.min(windowM / 2000, km[i]!, end - km[i]!)
    if (half <= 0) {
      smooth[i] = eleM[i]!
      continue
    }
    // Both edges of the window only ever move forward, so the search is one pass in all.
    const [before, lowAt] = areaTo(km[i]! - half, low)
    const [after, highAt] = areaTo(km[i]! + half, Math.max(high, lowAt))
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
    const from = turns[t - 1]!
    const to = turns[t]!
    const climbing = eleM[to]! >= eleM[from]!
    const [along, still] = climbing ? [upM, downM] : [downM, upM]
    const full = Math.abs(eleM[to]! - eleM[from]!)
    let gained = 0
    for (let i = from + 1; i <= to; i++) {
      gained = Math.min(full, Math.max(gained, Math.abs(eleM[i]! - eleM[from]!)))
      along[i] = along[from]! + gained
      still[i] = still[from]!
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
    if (eleM[i]! > eleM[highest]!) highest = i
    if (eleM[i]! < eleM[lowest]!) lowest = i
    if (heading !== 'down' && eleM[highest]! - eleM[i]! >= thresholdM) {
      if (highest > turns[turns.length - 1]!) turns.push(highest)
      heading = 'down'
      lowest = i
      highest = i
    } else if (heading !== 'up' && eleM[i]! - eleM[lowest]! >= thresholdM) {
      if (lowest > turns[turns.length - 1]!) turns.push(lowest)
      heading = 'up'
      highest = i
      lowest = i
    }
  }
  const tail = heading === 'up' ? highest : heading === 'down' ? lowest : last
  if (tail > turns[turns.length - 1]!) turns.push(tail)
  if (turns[turns.length - 1]! < last) turns.push(last)
  return turns
}
