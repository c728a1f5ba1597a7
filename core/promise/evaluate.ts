import type { IndexedLedger, KitHours } from '../ledger'
import { demandOf, type Demand } from './demand'
import { KitPromise } from './kit-promise'

/** So many times what is left of each stock is worked out anew from what is left of the others, at most. */
export const settlingRounds = 3

/** Works out what kits promise: fast and near the truth. */
export class PromiseEvaluator {
  /** @param demand of the ledger, where it is there already */
  constructor(
    ledger: IndexedLedger,
    private readonly demand: Demand = demandOf(ledger),
  ) {}

  /** @param earlier the demand of a ledger that may differ in little */
  static after(earlier: Demand, ledger: IndexedLedger): PromiseEvaluator {
    return new PromiseEvaluator(ledger, demandOf(ledger, earlier))
  }

  /** @param counts how many of each item are carried, in their order */
  evaluate(counts: ArrayLike<number>): KitHours {
    return this.settled(counts).hours
  }

  settled(counts: ArrayLike<number>): KitPromise {
    const promise = new KitPromise(this.demand, counts)
    promise.settle(settlingRounds)
    return promise
  }
}
