import { additions, drops, exchanges, gatherings, handings, pairs } from './shifts'
import type { Shift, SplitState } from './split-state'

/** Gains below this many hours are rounding. */
export const slackH = 1e-6

/** In crews of more than so many, no pairs of changes that each nearly gain are tried. */
const mostForPairs = 6

/** Enough for any search seen to come to rest. */
export const mostRounds = 400

export type OnRound = (soFar: SplitState) => void

/** Shifts pieces until nothing gains; what gains at first sight only is taken back. */
export function improve(state: SplitState, onRound: OnRound = () => undefined): void {
  const refused = new Set<string>()
  const mayGain = (shifts: readonly Shift[]) => refused.size === 0 || !refused.has(keyOf(shifts))
  const isMade = (shifts: readonly Shift[]): boolean => {
    if (make(state, shifts)) {
      refused.clear()
      return true
    }
    refused.add(keyOf(shifts))
    return false
  }
  /** Makes all that gain, the one that seems to gain most first. */
  const sweep = (candidates: readonly (readonly Shift[])[]): boolean => {
    const hopeful = candidates
      .filter(mayGain)
      .map((shifts) => ({ shifts, guessH: state.guess(shifts, slackH) }))
      .filter(({ guessH }) => guessH > slackH)
      .sort((a, b) => b.guessH - a.guessH)
    let any = false
    for (const { shifts } of hopeful)
      if (state.allows(shifts) && state.gain(shifts) > slackH && isMade(shifts)) any = true
    return any
  }
  /** The same with sets of pieces, of which no more is known beforehand than the most that they can gain. */
  const sweepSets = (candidates: readonly (readonly Shift[])[]): boolean => {
    const gaining = candidates
      .filter((shifts) => mayGain(shifts) && state.mostGained(shifts) > slackH && state.allows(shifts))
      .map((shifts) => ({ shifts, gainH: state.gain(shifts) }))
      .filter(({ gainH }) => gainH > slackH)
      .sort((a, b) => b.gainH - a.gainH)
    let any = false
    for (const { shifts } of gaining)
      if (state.allows(shifts) && state.gain(shifts) > slackH && isMade(shifts)) any = true
    return any || gaining.length > 0
  }
  const hasPairs = state.problem.riders.length <= mostForPairs
  for (let round = 0; round < mostRounds; round++) {
    onRound(state)
    if (sweep([...handings(state), ...additions(state), ...drops(state)]) || sweep(exchanges(state))) continue
    const pair = hasPairs ? bestOf(state, pairs(state).filter(mayGain)) : undefined
    if (pair) isMade(pair)
    else if (!sweepSets(gatherings(state))) return
  }
}

/** Makes shifts, and takes them back where they gained at first sight only. @returns whether they were made */
export function make(state: SplitState, shifts: readonly Shift[]): boolean {
  const before = state.costs.costH
  state.apply(shifts)
  if (state.costs.costH < before - slackH / 2) return true
  state.apply(shifts.map(({ item, from, to }) => ({ item, from: to, to: from })))
  return false
}

const keyOf = (shifts: readonly Shift[]) => shifts.map(({ item, from, to }) => `${item}:${from}:${to}`).join()

/** Of some shifts the ones that gain most, where any gain more than so many hours. */
export function bestOf(
  state: SplitState,
  candidates: readonly (readonly Shift[])[],
  leastH = slackH,
): readonly Shift[] | undefined {
  let [best, most]: [readonly Shift[] | undefined, number] = [undefined, leastH]
  for (const shifts of candidates) {
    if (!state.allows(shifts)) continue
    const gainH = state.gain(shifts)
    if (gainH > most) [best, most] = [shifts, gainH]
  }
  return best
}
