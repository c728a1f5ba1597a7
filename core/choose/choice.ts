import type { KitState } from './kit-state'

/** A kit and the claims it answers. */
export interface Choice {
  /** How many of each item to carry; items left at home are 0. */
  readonly counts: Record<string, number>
  /** The fix that answers each claim; claims without one are left out. */
  readonly answers: Record<string, string>
  readonly savedH: number
  readonly massG: number
  /** What carrying it costs, in hours at the dial. */
  readonly priceH: number
  readonly netH: number
}

export function choiceOf(state: KitState): Choice {
  const { problem, counts, chosen } = state
  const answers: Record<string, string> = {}
  problem.claims.forEach((claim, c) => {
    const a = chosen[c]!
    if (a >= 0) answers[claim.id] = problem.answers[a]!.fix
  })
  // Summed afresh: the running sums of a long search carry rounding.
  const savedH = chosen.reduce((sum, a) => (a >= 0 ? sum + problem.answers[a]!.savedH : sum), 0)
  const massG = problem.items.reduce((sum, item, i) => sum + counts[i]! * item.massG, 0)
  const priceH = problem.items.reduce((sum, item, i) => sum + counts[i]! * item.priceH, 0)
  return {
    counts: Object.fromEntries(problem.items.map((item, i) => [item.id, counts[i]!])),
    answers,
    savedH,
    massG,
    priceH,
    netH: savedH - priceH,
  }
}
