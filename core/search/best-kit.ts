import { massOf, type IndexedLedger, type KitHours } from '../ledger'
import { PromiseEvaluator } from '../promise'
import { Fault } from '../validation'
import { condense } from './condense'
import { grow, makeSure, shrink } from './search'
import { areFew, bestOfAll } from './every-kit'
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
 * both are improved until nothing gains, and the better one is the answer. Long ledgers are condensed for that, and the
 * answer is then improved on the whole of it. Where there are few kits, all are tried.
 *
 * @throws Fault where what is pinned weighs more than the budget
 */
export function bestKit(ledger: IndexedLedger): KitChoice {
  return choiceOf(ledger, bestState(kitProblem(ledger)).counts)
}

function bestState(problem: KitProblem): KitState {
  const { items, budgetG } = problem.ledger
  const pinned = items.map(({ min }) => min)
  if (massOf(problem.ledger, pinned) > budgetG) {
    throw new Fault('budgetG', `${budgetG} g`, `at least the ${massOf(problem.ledger, pinned)} g of what is pinned`)
  }
  if (areFew(problem)) return bestOfAll(problem)
  const near = condensed(problem)
  const fromNothing = new KitState(near, pinned)
  grow(fromNothing)
  const fromAll = new KitState(
    near,
    items.map(({ max }) => max),
  )
  fromAll.budgetG = Infinity
  shrink(fromAll)
  if (fromAll.massG > budgetG) squeeze(fromAll, budgetG)
  const better = pays(fromAll.netH - fromNothing.netH) ? fromAll : fromNothing
  if (near !== problem) makeSure(better, problem)
  return better
}

/** So many legs are enough to search by, before all is made sure of. */
const fewLegs = 6

function condensed(problem: KitProblem): KitProblem {
  const ledger = condense(problem.ledger, fewLegs)
  return ledger === problem.ledger ? problem : kitProblem(ledger)
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
