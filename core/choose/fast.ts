import type { Ledger } from '../trip-ledger'
import { answerDemands } from './bundle'
import { choiceOf, type Choice } from './choice'
import { exactAnswers } from './exact-answers'
import { KitState } from './kit-state'
import { problemOf, type Item, type Problem } from './problem'
import { Search } from './search'

/**
 * The kit the interface shows: good within a percent, in milliseconds.
 *
 * From a full kit it leaves off what gains least, then drops, adds and swaps
 * until nothing helps. Where that is over the budget, the kit is squeezed until
 * it fits; another is grown from nothing, bundle by bundle; and the better one
 * is the answer. Ledgers with few kits are searched whole.
 *
 * @throws Fault when the pins alone weigh more than the budget
 */
export function chooseFast(ledger: Ledger): Choice {
  return choiceOf(bestState(problemOf(ledger)))
}

/** The same, as a state that can be tried further. */
export function bestState(problem: Problem): KitState {
  if (isSmall(problem)) return bestOfAll(problem)
  const demands = answerDemands(problem)
  const shrunk = new Search(
    new KitState(
      problem,
      problem.items.map((item) => item.max),
    ),
    demands,
  )
  shrunk.state.budgetG = Infinity
  shrunk.leaveOff()
  shrunk.addBundles()
  shrunk.improve()
  if (!Number.isFinite(problem.budgetG)) return shrunk.state
  shrunk.squeezeTo(problem.budgetG)
  const grown = new Search(new KitState(problem), demands)
  grown.addBundles()
  grown.improve()
  return shrunk.state.netH > grown.state.netH ? shrunk.state : grown.state
}

/** So few kits, with so few claims, are all tried: in about the time the search would take, and surely. */
const fewKits = 1500
const fewClaims = 16

function isSmall(problem: Problem): boolean {
  const kits = problem.items.reduce((product, item) => product * (item.max - item.min + 1), 1)
  return kits <= fewKits && problem.claims.length <= fewClaims
}

/** Walks through every kit within the budget and answers the claims of each as well as can be. */
function bestOfAll(problem: Problem): KitState {
  const counts = problem.items.map((item) => item.min)
  const sum = (value: (item: Item) => number) => counts.reduce((total, n, i) => total + n * value(problem.items[i]!), 0)
  const none = problem.claims.map(() => -1)
  let best = { counts: [...counts], chosen: exactAnswers(problem, counts, 0)?.chosen ?? none, netH: -Infinity }
  for (;;) {
    if (sum((item) => item.massG) <= problem.budgetG) {
      const priceH = sum((item) => item.priceH)
      const answered = exactAnswers(problem, counts, best.netH + priceH)
      if (answered) best = { counts: [...counts], chosen: answered.chosen, netH: answered.savedH - priceH }
    }
    const next = counts.findIndex((n, i) => n < problem.items[i]!.max)
    if (next < 0) break
    for (let i = 0; i < next; i++) counts[i] = problem.items[i]!.min
    counts[next]!++
  }
  const state = new KitState(problem, best.counts)
  state.adopt(best.chosen)
  return state
}
