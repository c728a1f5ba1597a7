import type { Ledger } from '../trip-ledger'
import { Fault } from '../validation'
import type { Choice } from './choice'
import { problemOf, slack, type Problem } from './problem'

/** The most kits tried and the most claims in each, so that it ends. */
const mostKits = 200_000
const mostClaims = 14

/**
 * The best kit there is, by trying every kit and in each every way to answer
 * the claims. For tiny ledgers; the check on the other two solvers.
 *
 * @throws Fault when the ledger is too large for it
 */
export function chooseBrute(ledger: Ledger): Choice {
  const problem = problemOf(ledger)
  const kits = problem.items.reduce((product, item) => product * (item.max - item.min + 1), 1)
  if (kits > mostKits || problem.claims.length > mostClaims) {
    throw new Fault(
      'the ledger',
      `${kits} kits and ${problem.claims.length} claims`,
      `at most ${mostKits} kits and ${mostClaims} claims for --brute; solve it with --proof`,
    )
  }
  let best:
    { counts: number[]; chosen: number[]; savedH: number; priceH: number; netH: number; massG: number } | undefined
  const counts = problem.items.map((item) => item.min)
  for (;;) {
    const massG = counts.reduce((sum, n, i) => sum + n * problem.items[i]!.massG, 0)
    if (massG <= problem.budgetG) {
      const { savedH, chosen } = bestAnswers(problem, counts)
      const priceH = counts.reduce((sum, n, i) => sum + n * problem.items[i]!.priceH, 0)
      const netH = savedH - priceH
      if (!best || netH > best.netH + 1e-12) best = { counts: [...counts], chosen, savedH, priceH, netH, massG }
    }
    const next = counts.findIndex((n, i) => n < problem.items[i]!.max)
    if (next < 0) break
    for (let i = 0; i < next; i++) counts[i] = problem.items[i]!.min
    counts[next]!++
  }
  const { chosen, ...rest } = best!
  return {
    savedH: rest.savedH,
    massG: rest.massG,
    priceH: rest.priceH,
    netH: rest.netH,
    counts: Object.fromEntries(problem.items.map((item, i) => [item.id, rest.counts[i]!])),
    answers: Object.fromEntries(
      problem.claims.flatMap((claim, c) => (chosen[c]! >= 0 ? [[claim.id, claim.answers[chosen[c]!]!.fix]] : [])),
    ),
  }
}

function bestAnswers(problem: Problem, counts: readonly number[]): { savedH: number; chosen: number[] } {
  const offered = new Int32Array(problem.functions)
  const amount = new Float64Array(problem.stocks)
  counts.forEach((n, i) => {
    const item = problem.items[i]!
    for (const f of item.provides) offered[f]! += n
    item.stocks.forEach((s, j) => (amount[s]! += n * item.units[j]!))
  })
  const drawn = new Float64Array(problem.shelfStock.length)
  const chosen = problem.claims.map(() => -1)
  let best = { savedH: -1, chosen: [...chosen] }
  const search = (c: number, savedH: number) => {
    if (c === problem.claims.length) {
      if (savedH > best.savedH) best = { savedH, chosen: [...chosen] }
      return
    }
    problem.claims[c]!.answers.forEach((answer, a) => {
      if (answer.needs.some((f) => offered[f] === 0)) return
      const fits = answer.shelves.every(
        (shelf, j) => drawn[shelf]! + answer.shelfAmounts[j]! <= amount[problem.shelfStock[shelf]!]! + slack,
      )
      if (!fits) return
      answer.shelves.forEach((shelf, j) => (drawn[shelf]! += answer.shelfAmounts[j]!))
      chosen[c] = a
      search(c + 1, savedH + answer.savedH)
      answer.shelves.forEach((shelf, j) => (drawn[shelf]! -= answer.shelfAmounts[j]!))
    })
    chosen[c] = -1
    search(c + 1, savedH)
  }
  search(0, 0)
  return best
}
