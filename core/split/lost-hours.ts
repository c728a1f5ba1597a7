import { KitPromise, settlingRounds, type Change } from '../promise'
import type { KitProblem } from '../search'
import { nth, numberAt } from '../validation'

/** What some who ride together lose to failures with what they carry, kept in step with it. */
export class LostHours {
  private readonly promise: KitPromise
  /** What changes were seen to add to the hours lost; each holds until something is changed that bears on the same failures. */
  private readonly seen = new Map<string, { readonly addedH: number; readonly changes: readonly Change[] }>()
  /** The same of a piece less and of a piece more, for each item; not a number where it was not looked at. */
  private readonly withLess: Float64Array
  private readonly withMore: Float64Array

  constructor(
    readonly problem: KitProblem,
    counts: ArrayLike<number>,
  ) {
    this.promise = new KitPromise(problem.demand, counts)
    this.promise.settle(settlingRounds)
    this.withLess = new Float64Array(counts.length).fill(NaN)
    this.withMore = new Float64Array(counts.length).fill(NaN)
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
    const [first] = changes
    if (!first) return 0
    if (changes.length === 1 && first.by === 1) return this.withOneMore(first.item)
    if (changes.length === 1 && first.by === -1) return this.withOneLess(first.item)
    const key = changes.map(({ item, by }) => `${item}:${by}`).join()
    const known = this.seen.get(key)
    if (known) return known.addedH
    const addedH = this.triedAtSight(changes)
    this.seen.set(key, { addedH, changes })
    return addedH
  }

  /** The same of one piece more, and of one less. */
  withOneMore(item: number): number {
    if (Number.isNaN(this.withMore[item])) this.withMore[item] = this.triedAtSight([{ item, by: 1 }])
    return numberAt(this.withMore, item)
  }
  withOneLess(item: number): number {
    if (Number.isNaN(this.withLess[item])) this.withLess[item] = this.triedAtSight([{ item, by: -1 }])
    return numberAt(this.withLess, item)
  }

  private triedAtSight(changes: readonly Change[]): number {
    return this.promise.tryAtSight(changes, () => this.promise.promiseH) - this.promise.promiseH
  }

  /** The most that more pieces can spare: what the failures they bear on cost beyond what they would with everything at hand. */
  mostSpared(changes: readonly Change[]): number {
    if (changes.length === 0) return 0
    const streams = new Set(changes.flatMap(({ item }) => nth(this.problem.streamsOf, item)))
    let sum = 0
    for (const number of streams) sum += this.promise.beyondLeast(number)
    return sum
  }

  /** The same of one piece more. */
  mostSparedBy(item: number): number {
    let sum = 0
    for (const number of nth(this.problem.streamsOf, item)) sum += this.promise.beyondLeast(number)
    return sum
  }

  apply(changes: readonly Change[]): void {
    if (changes.length === 0) return
    this.promise.apply(changes)
    this.promise.settle(settlingRounds)
    for (const [key, { changes: seen }] of this.seen) if (this.isNear(seen, changes)) this.seen.delete(key)
    for (const { item } of changes)
      for (const near of [item, ...nth(this.problem.meets, item)]) {
        this.withLess[near] = NaN
        this.withMore[near] = NaN
      }
  }

  /** Whether two changes bear on the same failures. */
  private isNear(some: readonly Change[], others: readonly Change[]): boolean {
    return some.some(({ item }) =>
      others.some((other) => other.item === item || nth(this.problem.meets, item).has(other.item)),
    )
  }
}
