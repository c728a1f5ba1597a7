import { condense, kitProblem, type KitProblem } from '../search'
import { defined } from '../validation'
import { improve, make, mostRounds, slackH, type OnRound } from './improve'
import { everParts, type SplitProblem } from './problem'
import { additions, drops, exchanges, handings } from './shifts'
import { SplitState } from './split-state'
import { annealed, startsApart } from './starts'

/** So many legs are enough to search by, before all is made sure of. */
const fewLegs = 6

/** What seems to lose less than so many hours by few legs may gain on all of them. */
const nearlyGainingH = 0.03

/**
 * The best split that is found: from the kit of a crew that stays together with all that riders would carry by themselves, and
 * from further starts where the crew is small, pieces change hands, are doubled, left at home and exchanged until nothing
 * gains; the best end is taken.
 *
 * @param onRound told again and again while the search goes on, with the split so far: whole, and not yet the best
 */
export function bestSplit(problem: SplitProblem, onRound: OnRound = () => undefined): SplitState {
  if (!everParts(problem)) {
    const together = annealed(problem)
    improve(together, onRound)
    return together
  }
  const near = condensed(problem)
  let best: SplitState | undefined
  for (const start of startsApart(near)) {
    improve(start, onRound)
    if (!best || start.costs.costH < best.costs.costH - slackH) best = start
  }
  const found = defined(best)
  return near === problem ? found : madeSure(found, problem, onRound)
}

/** A problem with fewer legs, nearly the same; the same where it has few. */
function condensed(problem: SplitProblem): SplitProblem {
  const { companies, alone, ledger: whole } = problem
  if (whole.legs <= fewLegs) return problem
  const fewer = ({ ledger }: KitProblem) => kitProblem(condense(ledger, fewLegs))
  return {
    ...problem,
    companies: companies.map((company) => ({ ...company, problem: fewer(company.problem) })),
    alone: alone.map((own) => own && fewer(own)),
  }
}

/**
 * Goes over to all legs from few: what gains by few of them, or nearly does, is tried on all and done where it gains there.
 *
 * @param near a split at rest by few legs
 */
function madeSure(near: SplitState, problem: SplitProblem, onRound: OnRound): SplitState {
  const state = new SplitState(problem, near.carried)
  for (let round = 0; round < mostRounds; round++) {
    onRound(state)
    const hopeful = [...handings(state), ...additions(state), ...drops(state), ...exchanges(state)]
      .map((shifts) => ({ shifts, guessH: near.guess(shifts, -nearlyGainingH) }))
      .filter(({ guessH }) => guessH > -nearlyGainingH)
      .sort((a, b) => b.guessH - a.guessH)
    let any = false
    for (const { shifts } of hopeful) {
      if (!state.allows(shifts) || state.gain(shifts) <= slackH || !make(state, shifts)) continue
      near.apply(shifts)
      any = true
    }
    if (!any) return state
  }
  return state
}
