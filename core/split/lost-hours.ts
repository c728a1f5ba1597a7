import { KitPromise, settlingRounds, type Change } from '../promise'
import type { KitProblem } from '../search'
import { nth } from '../validation'

/** What some who ride together lose to failures with what they carry, kept in step with it. */
export class LostHours {
  private readonly promise: KitPromise
  /** What changes were seen to add to the hours lost; each holds until something is changed that bears on the same failures. */
  private readonly seen = new Map<string, { readonly addedH: number; readonly changes: readonly Change[] }>()

  constructor(
    readonly problem: KitProblem,
    counts: ArrayLike<number>,
  ) {
    this.promise = new KitPromise(problem.demand, counts)
    this.promise.settle(settlingRounds)
  }

  get hours(): number {
    return this.promise.promiseH
  }

  /** How many of each item they carry. */
  get counts(): Int32Array {
    return this.promise.counts
  }

  /** Hours that a change would add, at first sight. */
  added(changes: readonly Change[]): number {
    if (changes.length === 0) return 0
    const key = changes.map(({ item, by }) => `${item}:${by}`).join()
    const known = this.seen.get(key)
    if (known) return known.addedH
    const addedH = this.promise.tryAtSight(changes, () => this.promise.promiseH) - this.promise.promiseH
    this.seen.set(key, { addedH, changes })
    return addedH
  }

  /** The same, each change of a piece by itself, added up. */
  addedSingly(changes: readonly Change[]): number {
    let sum = 0
    for (const change of changes) sum += this.added([change])
    return sum
  }

  /** The most that more pieces can spare: what the failures they bear on cost beyond what they would with everything at hand. */
  mostSpared(changes: readonly Change[]): number {
    const streams = new Set(changes.flatMap(({ item }) => nth(this.problem.streamsOf, item)))
    let sum = 0
    for (const number of streams) sum += this.promise.beyondLeast(number)
    return sum
  }

  apply(changes: readonly Change[]): void {
    if (changes.length === 0) return
    this.promise.apply(changes)
    this.promise.settle(settlingRounds)
    for (const [key, { changes: seen }] of this.seen) if (this.isNear(seen, changes)) this.seen.delete(key)
  }

  /** Whether two changes bear on the same failures. */
  private isNear(some: readonly Change[], others: readonly Change[]): boolean {
    return some.some(({ item }) =>
      others.some((other) => other.item === item || nth(this.problem.meets, item).has(other.item)),
    )
  }
}
