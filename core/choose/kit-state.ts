import { Answering } from './answering'
import type { Problem } from './problem'

/** A change of counts: so many more (or fewer) of an item. */
export interface Change {
  readonly item: number
  readonly by: number
}

/** A kit being tried: how many of each item, what that weighs, and the claims answered with it. */
export class KitState {
  readonly counts: Int32Array
  private readonly offered: Int32Array
  private readonly answering: Answering
  massG = 0
  priceH = 0
  /** The most the kit may weigh; a search may let it go for a while. */
  budgetG: number
  /** Hours a gram costs beyond its price: what makes a kit shrink towards a budget. */
  squeeze = 0

  constructor(
    readonly problem: Problem,
    counts?: ArrayLike<number>,
  ) {
    this.budgetG = problem.budgetG
    this.counts = new Int32Array(problem.items.length)
    this.offered = new Int32Array(problem.functions)
    this.answering = new Answering(problem)
    problem.items.forEach((item, i) => this.count(i, counts ? counts[i]! : item.min))
    this.answering.repair(true)
    this.answering.polish()
    this.answering.forget()
  }

  get savedH(): number {
    return this.answering.savedH
  }

  get netH(): number {
    return this.answering.savedH - this.priceH - this.squeeze * this.massG
  }

  /** The answer of each claim, by its number among all answers; −1 for none. */
  get chosen(): Int32Array {
    return this.answering.chosen
  }

  /** Whether the kit weighs more than it may. */
  get isOver(): boolean {
    return this.massG > this.budgetG
  }

  /** What one of an item costs to carry, in hours. */
  priceOf(item: number): number {
    const { priceH, massG } = this.problem.items[item]!
    return priceH + this.squeeze * massG
  }

  offers(fn: number): boolean {
    return this.offered[fn]! > 0
  }

  /** Whether the counts stay within what there is and the budget. */
  allows(changes: readonly Change[]): boolean {
    let massG = this.massG
    for (const { item, by } of changes) {
      const { min, max, massG: each } = this.problem.items[item]!
      const n = this.counts[item]! + by
      if (n < min || n > max) return false
      massG += each * by
    }
    return massG <= this.budgetG
  }

  /** Makes a change for good. */
  apply(changes: readonly Change[]): void {
    for (const { item, by } of changes) this.count(item, by)
    this.answering.repair(true)
    this.answering.forget()
  }

  /** Tries a change, reads something off, and takes the change back to the letter. */
  tryOut<T>(changes: readonly Change[], read: () => T, thoroughly = false): T {
    const { mark } = this.answering
    for (const { item, by } of changes) this.count(item, by)
    this.answering.repair(thoroughly)
    const result = read()
    for (let i = changes.length - 1; i >= 0; i--) this.count(changes[i]!.item, -changes[i]!.by, false)
    this.answering.undoTo(mark)
    return result
  }

  /**
   * Net hours gained by a change, which is then taken back.
   *
   * @param thoroughly whether claims may push others on: dearer, and never less
   */
  gain(changes: readonly Change[], thoroughly = false): number {
    const before = this.netH
    return this.tryOut(changes, () => this.netH - before, thoroughly)
  }

  /** Takes over answers worked out elsewhere. */
  adopt(chosen: readonly number[]): void {
    this.answering.adopt(chosen)
  }

  /** Answers every claim anew with the kit as it is, if that is better. */
  settle(): void {
    this.answering.reprice()
  }

  private count(i: number, by: number, noticed = true): void {
    if (by === 0) return
    const item = this.problem.items[i]!
    this.counts[i]! += by
    this.massG += item.massG * by
    this.priceH += item.priceH * by
    for (const f of item.provides) {
      const had = this.offered[f]! > 0
      this.offered[f]! += by
      const has = this.offered[f]! > 0
      if (had !== has) this.answering.setOffered(f, has, noticed)
    }
    for (let j = 0; j < item.stocks.length; j++) this.answering.addStock(item.stocks[j]!, item.units[j]! * by, noticed)
  }
}
