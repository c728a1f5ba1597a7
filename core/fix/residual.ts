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

/**
 * Hours still lost when a fix works.
 *
 * @param lossH hours lost without any fix
 * @param moreH hours it takes besides: pumping, or the way to a wrench
 */
export function residualHours(fix: Fix, lossH: number, moreH = 0): number {
  const cost = gradeCost[fix.grade]
  return fix.minutes / 60 + moreH + (cost.slower + cost.failsAgain) * lossH
}
