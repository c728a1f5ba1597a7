import type { Fix, Grade } from './schema'

/**
 * What a grade still costs, as a share of the loss it averts: riding slower to
 * the place that settles it, and the chance of failing again times the loss.
 * Planning values, from memory.
 */
export const gradeCost: Record<Grade, { slower: number; failsAgain: number }> = {
  lasting: { slower: 0, failsAgain: 0.01 },
  'to the next shop': { slower: 0.03, failsAgain: 0.06 },
  'walking pace': { slower: 0.45, failsAgain: 0.1 },
}

/** So much slower one rides for each share by which the easiest gear is harder. Planning value, from memory. */
export const slowerByHarderGear = 0.3

/**
 * The chance that what was mended fails again before it is settled. A make-do that wears on fails by the way it has to last:
 * the memoryless law, for want of logs.
 *
 * @param km how far it is to the place that settles it, in expectation
 */
export const failsAgain = ({ grade, lastsKm }: Pick<Fix, 'grade' | 'lastsKm'>, km: number): number =>
  lastsKm === undefined ? gradeCost[grade].failsAgain : 1 - Math.exp(-km / lastsKm)
