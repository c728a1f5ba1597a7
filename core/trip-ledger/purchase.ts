import type { CostsOfFailing } from '../availability'
import { shopOf, type Thing } from '../bench'
import type { Stop } from '../supply'
import { nth } from '../validation'

/** What of a thing that is bought on the way. */
export interface Purchase {
  /** The leg from which on it is there; the number of legs where there is none after the shop. */
  readonly leg: number
  /** The chance that the shop has it, and is open in passing. */
  readonly chance: number
  /** The share of the road for which it is carried. */
  readonly carried: number
}

/**
 * When a thing of the bench is there that is bought on the way; of one that is a stock of several classes whichever is the
 * least likely to be had decides.
 *
 * @returns undefined for what comes along from the start
 */
export function purchaseOf(
  thing: Pick<Thing, 'boughtAt' | 'units' | 'provides' | 'heads'>,
  stops: readonly Stop[],
  costs: Pick<CostsOfFailing, 'edges' | 'legs' | 'refillChance'>,
): Purchase | undefined {
  const stop = shopOf(thing, stops)
  if (!stop) return undefined
  const end = nth(costs.edges, costs.legs)
  return {
    leg: Math.min(costs.legs, costs.edges.filter((km) => km < stop.roadKm).length),
    chance: Math.min(...Object.keys(thing.units).map((classId) => costs.refillChance(stop, classId))),
    carried: Math.max(0, end - stop.roadKm) / end,
  }
}
