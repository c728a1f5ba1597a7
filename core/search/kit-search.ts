import { expectPinsWithin, loadOf, type IndexedLedger, type KitHours, type Load, type Terms } from '../ledger'
import { PromiseEvaluator, type KitPromise } from '../promise'
import { condense } from './condense'
import { gramsPerHourSparing } from './dial'
import { areFew, bestOfAll } from './every-kit'
import { KitState } from './kit-state'
import { kitProblem, onTerms, type KitProblem } from './problem'
import { grow, improve, makeSure, payingAtSight, unlimited } from './search'
import { pays } from './slack'
import { squeeze } from './squeeze'

/** A kit, and what follows from carrying it. */
export interface KitChoice extends KitHours, Load {
  /** How many of each item, in their order. */
  readonly counts: readonly number[]
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
  private condensed: KitProblem | undefined

  /** @param earlier the condensed problem of a ledger that may differ in little */
  private constructor(
    readonly problem: KitProblem,
    private readonly emptyH: number,
    private readonly earlier?: KitProblem,
  ) {
    this.evaluator = new PromiseEvaluator(problem.ledger, problem.demand)
  }

  /** The ledger with fewer legs, to search by; the same where it has few. What a kit comes to is known without it. */
  private get near(): KitProblem {
    if (!this.condensed) {
      const { ledger } = this.problem
      const condensed = condense(ledger, fewLegs)
      this.condensed = condensed === ledger ? this.problem : kitProblem(condensed, this.earlier)
    }
    return this.condensed
  }

  /** @param earlier a search of a ledger that may differ in little: what was worked out of it is used again where it holds */
  static forLedger(ledger: IndexedLedger, earlier?: KitSearch): KitSearch {
    const whole = kitProblem(ledger, earlier?.problem)
    const nothing = new Int32Array(ledger.items.length)
    const { promiseH } = new PromiseEvaluator(ledger, whole.demand).evaluate(nothing)
    return new KitSearch(whole, promiseH, earlier?.condensed ?? earlier?.earlier)
  }

  /** The same search on other terms; what has been worked out of the failures is kept. */
  under(terms: Terms): KitSearch {
    const whole = onTerms(this.problem, terms)
    const search = new KitSearch(whole, this.emptyH, this.earlier)
    if (this.condensed) search.condensed = this.condensed === this.problem ? whole : onTerms(this.condensed, terms)
    return search
  }

  /**
   * The best kit that is found, within pins and budgets: one is shrunk from all there is and improved until nothing gains.
   * Within a budget another is grown from what is pinned, and the better one is improved. Long ledgers are condensed for
   * that, and the answer is then improved on the whole of it. Where there are few kits, all are tried.
   *
   * @throws Fault where what is pinned weighs or costs more than a budget
   */
  best(): KitChoice {
    return this.choice(this.bestState().counts)
  }

  /** @param counts how many of each item are carried, in their order */
  choice(counts: ArrayLike<number>): KitChoice {
    const { ledger } = this.problem
    const { hours } = this.settled(counts)
    const load = loadOf(ledger, counts)
    return {
      ...hours,
      counts: Array.from(counts),
      ...load,
      emptyH: this.emptyH,
      netH: this.emptyH - hours.promiseH - load.massG * ledger.hoursPerGram,
    }
  }

  /** The promise of a kit, settled. */
  settled(counts: ArrayLike<number>): KitPromise {
    return this.evaluator.settled(counts)
  }

  /**
   * The grams that an hour is worth on this road, while nobody has said.
   *
   * @param everything how many there are of each item, in their order, whatever is pinned
   */
  usualGramsPerHour(everything: ArrayLike<number>): number | null {
    return gramsPerHourSparing(this.emptyH - this.evaluator.evaluate(everything).promiseH)
  }

  private bestState(): KitState {
    const { ledger } = this.problem
    expectPinsWithin(ledger)
    if (areFew(this.problem)) return bestOfAll(this.problem)
    const state = start(this.near)
    improve(state)
    if (this.near !== this.problem) makeSure(state, this.problem, true)
    return state
  }
}

/** A kit to improve: what pays of all there is; within budgets the better of that, squeezed, and of one grown from what is pinned. */
function start(problem: KitProblem): KitState {
  const { ledger } = problem
  const shrunk = new KitState(problem, payingAtSight(problem))
  if (shrunk.fits) return shrunk
  Object.assign(shrunk, unlimited)
  squeeze(shrunk, ledger)
  const grown = new KitState(
    problem,
    ledger.items.map(({ min }) => min),
  )
  grow(grown)
  return pays(grown.netH - shrunk.netH) ? grown : shrunk
}
