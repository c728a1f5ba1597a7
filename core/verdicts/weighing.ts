import type { IndexedLedger } from '../ledger'
import { settlingRounds, type Change, type KitPromise } from '../promise'
import type { KitChoice, KitProblem, KitSearch } from '../search'
import { nth } from '../validation'

/** A kit on the balance: its promise settled, so that any change of it can be tried and answered as well as itself. */
export class Weighing {
  readonly ledger: IndexedLedger
  readonly problem: KitProblem
  readonly promise: KitPromise
  /** For each event of the ledger, the numbers of its streams. */
  readonly streamsOf: readonly (readonly number[])[]

  constructor(
    search: KitSearch,
    readonly kit: KitChoice,
  ) {
    this.problem = search.problem
    this.ledger = this.problem.ledger
    this.promise = search.settled(kit.counts)
    const { streams } = this.problem.demand
    this.streamsOf = this.ledger.events.map(({ id }) =>
      streams.flatMap(({ event }, number) => (event.id === id ? [number] : [])),
    )
  }

  /** Tries a change, works all out anew, lets something be read off, and takes all back. */
  tryOut<T>(changes: readonly Change[], read: () => T): T {
    return this.promise.tryOut(changes, () => {
      this.promise.settle(settlingRounds)
      return read()
    })
  }

  /** Hours that a change saves. */
  saved(changes: readonly Change[]): number {
    const { promise } = this
    return promise.promiseH - this.tryOut(changes, () => promise.promiseH)
  }

  /** The same at first sight. */
  savedAtSight(changes: readonly Change[]): number {
    const { promise } = this
    return promise.promiseH - promise.tryAtSight(changes, () => promise.promiseH)
  }

  /** Carried items that give some functions or stocks: what a fix rests on. */
  restsOn(needs: readonly number[], stocks: readonly number[]): number[] {
    const { providers, demand } = this.problem
    const suppliers = stocks.flatMap((stock) => nth(demand.ofStock, stock).suppliers.map(({ item }) => item))
    const all = new Set([...needs.flatMap((name) => nth(providers, name)), ...suppliers])
    return [...all].filter((item) => nth(this.promise.counts, item) > 0)
  }
}
