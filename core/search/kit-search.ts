import { massOf, type IndexedLedger, type KitHours } from '../ledger'
import { PromiseEvaluator, type KitPromise } from '../promise'
import { Fault } from '../validation'
import { condense } from './condense'
import { areFew, bestOfAll } from './every-kit'
import { KitState } from './kit-state'
import { kitProblem, repriced, type KitProblem } from './problem'
import { grow, improve, makeSure, shrunkAtSight } from './search'
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

/** So many legs are enough to search by, before all is made sure of. */
const fewLegs = 6

/** The search for the best kit of a ledger, and what kits of it come to. */
export class KitSearch {
  private readonly evaluator: PromiseEvaluator
  private readonly emptyH: number

  private constructor(
    readonly problem: KitProblem,
    /** The ledger with fewer legs, to search by; the same where it has few. */
    private readonly near: KitProblem,
  ) {
    this.evaluator = new PromiseEvaluator(problem.ledger, problem.demand)
    this.emptyH = this.evaluator.evaluate(new Int32Array(problem.ledger.items.length)).promiseH
  }

  static forLedger(ledger: IndexedLedger): KitSearch {
    const [whole, condensed] = [kitProblem(ledger), condense(ledger, fewLegs)]
    return new KitSearch(whole, condensed === ledger ? whole : kitProblem(condensed))
  }

  /**
   * The same search where grams have another price, or the pins or the budget are others; what has been worked out of the
   * failures is kept.
   */
  under(ledger: IndexedLedger): KitSearch {
    const whole = repriced(this.problem, ledger)
    return new KitSearch(whole, this.near === this.problem ? whole : repriced(this.near, ledger))
  }

  /**
   * The best kit that is found, within pins and budget: one is shrunk from all there is and improved until nothing gains.
   * Within a budget another is grown from what is pinned, and the better one is improved. Long ledgers are condensed for
   * that, and the answer is then improved on the whole of it. Where there are few kits, all are tried.
   *
   * @throws Fault where what is pinned weighs more than the budget
   */
  best(): KitChoice {
    return this.choice(this.bestState().counts)
  }

  /** @param counts how many of each item are carried, in their order */
  choice(counts: ArrayLike<number>): KitChoice {
    const { ledger } = this.problem
    const { hours } = this.settled(counts)
    const massG = massOf(ledger, counts)
    return {
      ...hours,
      counts: Array.from(counts),
      massG,
      emptyH: this.emptyH,
      netH: this.emptyH - hours.promiseH - massG * ledger.hoursPerGram,
    }
  }

  /** The promise of a kit, settled. */
  settled(counts: ArrayLike<number>): KitPromise {
    return this.evaluator.settled(counts)
  }

  private bestState(): KitState {
    const { items, budgetG } = this.problem.ledger
    const pinned = items.map(({ min }) => min)
    const pinnedG = massOf(this.problem.ledger, pinned)
    if (pinnedG > budgetG) {
      throw new Fault('budgetG', `${budgetG} g`, `at least the ${pinnedG} g of what is pinned`)
    }
    if (areFew(this.problem)) return bestOfAll(this.problem)
    const state = start(this.near, pinned)
    improve(state)
    if (this.near !== this.problem) makeSure(state, this.problem)
    return state
  }
}

/** A kit to improve: what pays of all there is; within a budget the better of that, squeezed, and of one grown from what is pinned. */
function start(problem: KitProblem, pinned: readonly number[]): KitState {
  const { items, budgetG } = problem.ledger
  const all = new KitState(
    problem,
    items.map(({ max }) => max),
  )
  all.budgetG = Infinity
  const shrunk = new KitState(problem, shrunkAtSight(all))
  shrunk.budgetG = Infinity
  if (shrunk.massG <= budgetG) {
    shrunk.budgetG = budgetG
    return shrunk
  }
  squeeze(shrunk, budgetG)
  const grown = new KitState(problem, pinned)
  grow(grown)
  return pays(grown.netH - shrunk.netH) ? grown : shrunk
}
