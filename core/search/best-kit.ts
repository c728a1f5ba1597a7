import { massOf, type IndexedLedger, type KitHours } from '../ledger'
import { PromiseEvaluator } from '../promise'
import { Fault } from '../validation'
import { grow, shrink } from './search'
import { kitProblem, type KitProblem } from './problem'
import { KitState } from './kit-state'
import { pays } from './slack'
import { squeeze } from './squeeze'

/** A kit, and what follows from carrying it. */
export interface KitChoice extends KitHours {
  /** How many of each item, in their order. */
  readonly counts: readonly number[]
  readonly massG: number
  /** Hours lost with nothing carried. */
  readonly emptyH: number
  /** Hours saved against that, less the grams at their price. */
  readonly netH: number
}

/**
 * The best kit that a search finds, within pins and budget: one is grown from what is pinned, one shrunk from all there is,
 * both are improved until nothing gains, and the better one is the answer.
 *
 * @throws Fault where what is pinned weighs more than the budget
 */
export function bestKit(ledger: IndexedLedger): KitChoice {
  return choiceOf(ledger, bestState(kitProblem(ledger)).counts)
}

/** The same, as a state to search on from. */
export function bestState(problem: KitProblem): KitState {
  const { items, budgetG } = problem.ledger
  const pinned = items.map(({ min }) => min)
  if (massOf(problem.ledger, pinned) > budgetG) {
    throw new Fault('budgetG', `${budgetG} g`, `at least the ${massOf(problem.ledger, pinned)} g of what is pinned`)
  }
  const fromNothing = new KitState(problem, pinned)
  grow(fromNothing)
  const fromAll = new KitState(
    problem,
    items.map(({ max }) => max),
  )
  fromAll.budgetG = Infinity
  shrink(fromAll)
  if (fromAll.massG > budgetG) squeeze(fromAll, budgetG)
  return pays(fromAll.netH - fromNothing.netH) ? fromAll : fromNothing
}

/** @param counts how many of each item are carried, in their order */
export function choiceOf(ledger: IndexedLedger, counts: ArrayLike<number>): KitChoice {
  const promise = new PromiseEvaluator(ledger)
  const emptyH = promise.evaluate(new Int32Array(ledger.items.length)).promiseH
  const hours = promise.evaluate(counts)
  const massG = massOf(ledger, counts)
  return {
    ...hours,
    counts: Array.from(counts),
    massG,
    emptyH,
    netH: emptyH - hours.promiseH - massG * ledger.hoursPerGram,
  }
}
