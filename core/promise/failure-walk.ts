import { roundingAmount, type Amount, type Try } from '../ledger'
import { nth, numberAt } from '../validation'
import { chanceAtHand, noneAtHand, ScratchRows, type AtHand } from './at-hand'

/** How much a failure draws of stocks that are followed together. */
export class Drawn {
  /** How much of each stock, with the chance of just that. */
  readonly draws: { readonly spent: readonly number[]; chance: number }[] = []
  /** The same is drawn wherever what is left of each stock lies from the first of these to below the second. */
  readonly from: number[]
  readonly below: number[]

  constructor(readonly stocks: readonly number[]) {
    this.from = stocks.map(() => 0)
    this.below = stocks.map(() => Infinity)
  }

  isSameAt(left: readonly number[]): boolean {
    for (let s = 0; s < left.length; s++) {
      const amount = nth(left, s) + roundingAmount
      if (amount < nth(this.from, s) || amount >= nth(this.below, s)) return false
    }
    return true
  }

  /** Adds a chance of what is spent. @param spent of each stock, by its number */
  add(spent: Float64Array, chance: number): void {
    for (const draw of this.draws) {
      if (!this.isDrawn(draw.spent, spent)) continue
      draw.chance += chance
      return
    }
    this.draws.push({ spent: this.stocks.map((stock) => numberAt(spent, stock)), chance })
  }

  private isDrawn(drawn: readonly number[], spent: Float64Array): boolean {
    for (let s = 0; s < drawn.length; s++) {
      if (Math.abs(nth(drawn, s) - numberAt(spent, nth(this.stocks, s))) >= 1e-6) return false
    }
    return true
  }

  /** Notes that so much of a stock was there, or was not. */
  note(stock: number, wanted: number, isThere: boolean): void {
    const s = this.stocks.indexOf(stock)
    if (s < 0) return
    if (isThere) this.from[s] = Math.max(nth(this.from, s), wanted)
    else this.below[s] = Math.min(nth(this.below, s), wanted)
  }
}

/**
 * Follows a failure through its tries. The hands are known once a technique has been tried; of each stock is known what the
 * tries before have found. What is at hand of one stock tells of those that are followed with it and of no other: that is the
 * only thing that is not exact.
 *
 * One walk serves many failures, each begun anew.
 */
export class FailureWalk {
  /** How often each fix is tried, by its number in the event, and how often it ends the failure; in the mean. */
  readonly tried: Float64Array
  readonly held: Float64Array
  /** The chance that nothing mends it. */
  unmended = 0

  private readonly hands: Int8Array
  /** Of each stock: what is spent, what it has held at least, and what it has held less than. */
  private readonly spent: Float64Array
  private readonly least: Float64Array
  private readonly less: Float64Array
  /** What is at hand of each. */
  private readonly atHand: AtHand[]
  /** For what it meets once. */
  readonly rows = new ScratchRows()
  private tries: readonly Try[] = []
  private drawn: Drawn | undefined

  constructor(limits: { readonly stocks: number; readonly fixes: number; readonly techniques: number }) {
    this.tried = new Float64Array(limits.fixes)
    this.held = new Float64Array(limits.fixes)
    this.hands = new Int8Array(limits.techniques)
    this.spent = new Float64Array(limits.stocks)
    this.least = new Float64Array(limits.stocks)
    this.less = new Float64Array(limits.stocks).fill(Infinity)
    this.atHand = new Array<AtHand>(limits.stocks).fill(noneAtHand)
  }

  /** From now on failures that draw on some stocks find these clusters of them, and nothing of the others. */
  meet(stocks: readonly number[], clusters: readonly AtHand[]): void {
    for (const stock of stocks) this.atHand[stock] = noneAtHand
    for (const found of clusters) for (const stock of found.amounts.stocks) this.atHand[stock] = found
  }

  /** Forgets the failures followed so far. */
  begin(): void {
    this.tried.fill(0)
    this.held.fill(0)
    this.unmended = 0
  }

  /**
   * Follows one failure more, with some weight.
   *
   * @param tries the fixes whose tools work, in their order
   */
  follow(tries: readonly Try[], weight: number): void {
    this.tries = tries
    this.drawn = undefined
    this.step(0, 0, weight)
  }

  /** Adds what a failure draws of stocks of each of which so much is left, with some weight. */
  draw(drawn: Drawn, left: readonly number[], tries: readonly Try[], weight: number): void {
    this.tries = tries
    this.drawn = drawn
    for (let s = 0; s < left.length; s++) {
      const stock = nth(drawn.stocks, s)
      this.least[stock] = nth(left, s)
      this.less[stock] = nth(left, s) + 2 * roundingAmount
    }
    this.step(0, 0, weight)
    for (const stock of drawn.stocks) {
      this.least[stock] = 0
      this.less[stock] = Infinity
    }
  }

  private step(at: number, again: number, chance: number): void {
    const attempt = this.tries[at]
    if (!attempt || chance < leastChance) {
      this.unmended += chance
      this.end(chance)
      return
    }
    const isDone = this.hands[attempt.fix.technique] === unable || again === attempt.most
    if (isDone) this.step(at + 1, 0, chance)
    else this.reach(attempt, at, again, 0, chance)
  }

  /** Looks for each stock of a try in turn; goes on with the chance that all are there, and that one of them is not. */
  private reach(attempt: Try, at: number, again: number, use: number, chance: number): void {
    const { uses } = attempt.fix
    const amount = uses[use]
    if (!amount) {
      this.spend(uses, 1)
      this.try(attempt, at, again, chance)
      this.spend(uses, -1)
      return
    }
    const { stock } = amount
    const wanted = numberAt(this.spent, stock) + amount.amount
    const least = numberAt(this.least, stock)
    const less = numberAt(this.less, stock)
    const there = this.chanceOf(stock, wanted, least, less)
    this.drawn?.note(stock, wanted, there > 0)
    if (there < 1) {
      if (wanted < less) this.less[stock] = wanted
      this.step(at + 1, 0, chance * (1 - there))
      this.less[stock] = less
    }
    if (there > 0) {
      if (wanted > least) this.least[stock] = wanted
      this.reach(attempt, at, again, use + 1, chance * there)
      this.least[stock] = least
    }
  }

  private spend(uses: readonly Amount[], times: number): void {
    for (let i = 0; i < uses.length; i++) {
      const { stock, amount } = nth(uses, i)
      this.spent[stock] = numberAt(this.spent, stock) + times * amount
    }
  }

  private try({ fix, holds }: Try, at: number, again: number, chance: number): void {
    const { number, technique } = fix
    this.tried[number] = numberAt(this.tried, number) + chance
    const hands = nth(this.hands, technique)
    const can = hands === unknown ? fix.hands : 1
    if (can < 1) {
      this.hands[technique] = unable
      this.step(at + 1, 0, chance * (1 - can))
    }
    this.hands[technique] = able
    const held = chance * can * holds
    this.held[number] = numberAt(this.held, number) + held
    this.end(held)
    if (holds < 1) this.step(at, again + 1, chance * can * (1 - holds))
    this.hands[technique] = hands
  }

  /** The chance that a stock held so much, given that it held at least this and less than that. */
  private chanceOf(stock: number, wanted: number, least: number, less: number): number {
    if (wanted <= least + roundingAmount) return 1
    if (wanted >= less - roundingAmount) return 0
    return chanceAtHand(nth(this.atHand, stock), stock, wanted, this.least, this.less)
  }

  private end(chance: number): void {
    if (chance > 0) this.drawn?.add(this.spent, chance)
  }
}

/** Whether the hands can do a technique, for the failure in hand. */
const [unknown, able, unable] = [0, 1, 2]
/** Ways less likely than this are not followed to their end. */
const leastChance = 1e-7
