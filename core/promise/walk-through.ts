import { numberAt, nth } from '../validation'
import { roundingAmount, type IndexedEvent, type Try } from '../ledger'

/** What is known of a stock when a failure comes: the chance that so much of it, or more, is at hand. */
export type AtLeast = (amount: number) => number

/** What a failure comes to, in the mean. */
export interface FailureOutcome {
  readonly hours: number
  readonly walkH: number
  /** The chance that nothing mends it. */
  readonly unmended: number
}

/** How much of one stock a failure draws: the amounts, with their chances. */
export type Drawn = Map<number, number>

/** What the tries of a failure so far have told of a stock. */
interface Known {
  readonly stock: number
  spent: number
  /** It has held this much at the start, or more. */
  least: number
  /** It has held less than this. */
  less: number
}

/**
 * Follows a failure through its tries. The hands are known once a technique has been tried; of each stock is known what the
 * tries before have found. What is at hand of one stock tells nothing of another: that is the only thing that is not exact.
 */
export class WalkThrough {
  private hours = 0
  private walkH = 0
  private unmended = 0
  private readonly known: Known[] = []
  private readonly hands: Int8Array
  private drawn: Drawn | undefined
  private focus = -1
  private tries: readonly Try[] = []
  private leg = 0

  constructor(
    private readonly event: IndexedEvent,
    private readonly atLeast: readonly AtLeast[],
  ) {
    this.hands = new Int8Array(event.techniques)
  }

  /** @param tries the fixes whose tools work, in their order */
  outcome(tries: readonly Try[], leg: number): FailureOutcome {
    this.begin(tries, leg)
    this.follow(0, 0, 1, 0)
    return { hours: this.hours, walkH: this.walkH, unmended: this.unmended }
  }

  /** How much of a stock is drawn. */
  drawnOf(stock: number, tries: readonly Try[], leg: number): Drawn {
    this.begin(tries, leg)
    this.focus = stock
    const drawn: Drawn = new Map()
    this.drawn = drawn
    this.follow(0, 0, 1, 0)
    return drawn
  }

  private begin(tries: readonly Try[], leg: number): void {
    this.hours = this.walkH = this.unmended = 0
    this.known.length = 0
    this.hands.fill(unknown)
    this.drawn = undefined
    this.focus = -1
    this.tries = tries
    this.leg = leg
  }

  private follow(at: number, again: number, chance: number, workH: number): void {
    if (chance < leastChance) return
    const attempt = this.tries[at]
    const { event, leg } = this
    if (!attempt) {
      this.end(chance, workH + numberAt(event.lossH, leg), numberAt(event.walkH, leg), 1)
      return
    }
    const { fix, holds, most } = attempt
    const hands = nth(this.hands, fix.technique)
    if (hands === unable || again === most) {
      this.follow(at + 1, 0, chance, workH)
      return
    }
    this.reach(attempt, 0, chance, (found, isThere) => {
      if (!isThere) {
        this.follow(at + 1, 0, found, workH)
        return
      }
      const spent = workH + numberAt(fix.workH, leg)
      const can = hands === unknown ? fix.hands : 1
      this.hands[fix.technique] = unable
      this.follow(at + 1, 0, found * (1 - can), spent)
      this.hands[fix.technique] = able
      this.end(found * can * holds, spent + numberAt(fix.residualH, leg), numberAt(fix.residualWalkH, leg), 0)
      this.follow(at, again + 1, found * can * (1 - holds), spent)
      this.hands[fix.technique] = hands
    })
  }

  /** Looks for each stock of a try in turn; goes on with the chance that all are there, and that one of them is not. */
  private reach(attempt: Try, use: number, chance: number, go: (chance: number, isThere: boolean) => void): void {
    const amount = attempt.fix.uses[use]
    if (!amount) {
      for (const { stock, amount: used } of attempt.fix.uses) this.knownOf(stock).spent += used
      go(chance, true)
      for (const { stock, amount: used } of attempt.fix.uses) this.knownOf(stock).spent -= used
      return
    }
    const known = this.knownOf(amount.stock)
    const { least, less } = known
    const wanted = known.spent + amount.amount
    const there = this.chanceOf(amount.stock, wanted, least, less)
    if (there < 1) {
      known.less = Math.min(less, wanted)
      go(chance * (1 - there), false)
      known.less = less
    }
    if (there > 0) {
      known.least = Math.max(least, wanted)
      this.reach(attempt, use + 1, chance * there, go)
      known.least = least
    }
  }

  /** The chance that a stock held so much, given that it held at least this and less than that. */
  private chanceOf(stock: number, wanted: number, least: number, less: number): number {
    if (wanted <= least + roundingAmount) return 1
    if (wanted >= less - roundingAmount) return 0
    const atLeast = nth(this.atLeast, stock)
    const beyond = less === Infinity ? 0 : atLeast(less)
    const all = (least === 0 ? 1 : atLeast(least)) - beyond
    return all <= 0 ? 0 : Math.min(1, Math.max(0, (atLeast(wanted) - beyond) / all))
  }

  private knownOf(stock: number): Known {
    for (const known of this.known) if (known.stock === stock) return known
    const known = { stock, spent: 0, least: 0, less: Infinity }
    this.known.push(known)
    return known
  }

  private end(chance: number, hours: number, walkH: number, unmended: number): void {
    if (this.drawn) {
      const spent = this.knownOf(this.focus).spent
      this.drawn.set(spent, (this.drawn.get(spent) ?? 0) + chance)
      return
    }
    this.hours += chance * hours
    this.walkH += chance * walkH
    this.unmended += chance * unmended
  }
}

/** Whether the hands can do a technique, for the failure in hand. */
const [unknown, able, unable] = [0, 1, 2]
/** Ways less likely than this are not followed. */
const leastChance = 1e-12
