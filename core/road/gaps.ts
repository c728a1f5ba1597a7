import { nth } from '../validation'
/** A stretch between two places where a supply class can be had. */
export interface Gap {
  readonly fromKm: number
  readonly toKm: number
  readonly km: number
}

/** A place this near to an end of the road lies at that end: what is between is rounding. */
const atEndKm = 0.001

/**
 * The gaps of one supply class. The start counts as a place that has it, as
 * everything can be bought before leaving; the last gap ends with the road.
 *
 * @param offeredAtKm where the class can be had, in any order
 */
export function gapsBetween(offeredAtKm: readonly number[], lengthKm: number): Gap[] {
  const inside = offeredAtKm.filter((km) => km > atEndKm && km < lengthKm - atEndKm)
  const edges = [0, ...[...new Set(inside)].sort((a, b) => a - b), lengthKm]
  return edges.slice(1).map((toKm, i) => ({ fromKm: nth(edges, i), toKm, km: toKm - nth(edges, i) }))
}

/** The places that part the road into legs: start, each distinct stop, end. */
export function legEdges(stopsAtKm: readonly number[], lengthKm: number): number[] {
  return [0, ...gapsBetween(stopsAtKm, lengthKm).map((gap) => gap.toKm)]
}
