import type { Fix, Grade } from './schema'

/**
 * What a grade still costs, as a share of the loss it averts: riding slower to
 * the place that settles it, and the chance of failing again times the loss.
 * Planning values, from memory.
 */
const gradeCost: Record<Grade, { slower: number; failsAgain: number }> = {
  lasting: { slower: 0, failsAgain: 0.01 },
  'to the next shop': { slower: 0.03, failsAgain: 0.06 },
  'walking pace': { slower: 0.45, failsAgain: 0.1 },
}

/** A make-do never slows by more than this share of what the failure itself slows by. Planning value. */
const leftOfLimp = 0.5

/**
 * How much slower one rides with a fix of a grade on to the place that settles it, as a share of the hours of riding: a strap
 * that is tied on does not slow more than the strap that hung loose.
 *
 * @param stops the chance that the failure stops the bike: with one that always does there is no limping to measure against
 * @param limpShare how much slower one rides with the failure otherwise
 */
export const slowerWith = (grade: Grade, stops: number, limpShare: number): number =>
  grade === 'to the next shop' && stops < 1
    ? Math.min(gradeCost[grade].slower, leftOfLimp * limpShare)
    : gradeCost[grade].slower

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
