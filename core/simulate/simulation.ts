import {
  departureWith,
  mostTries,
  roundingAmount,
  triesOf,
  type Amount,
  type Departure,
  type IndexedLedger,
  type Try,
} from '../ledger'
import { nth, numberAt } from '../validation'
import { FailureDraws } from './failures'
import { keysOf, keyUnder, uniformUnder } from './keyed-random'
import { UseLog } from './use-log'

/** What came of trips that were drawn. */
export interface SimulationReport {
  readonly trips: number
  /** Hours lost, on foot and in prices: the mean, and its standard error. */
  readonly meanH: number
  readonly seH: number
  /** The part on foot. */
  readonly walkH: number
  readonly walkSeH: number
  /** The share of trips on which one was stranded, and its standard error. */
  readonly stranded: number
  readonly strandedSe: number
  /** For each leg, the share of trips on which one was stranded there first. */
  readonly strandedOn: readonly number[]
  /** Stocks of which a try lacked something, with the share of trips, and for each leg how many times a trip. */
  readonly ranOut: Readonly<Record<string, { readonly trips: number; readonly perLeg: readonly number[] }>>
  /** Pieces of each thing carried that no trip used. */
  readonly neverUsed: Readonly<Record<string, number>>
}

/** What came of one trip. */
export interface DrawnTrip {
  /** Hours lost, on foot and in prices. */
  readonly hours: number
  /** The part on foot. */
  readonly walkH: number
  readonly isStranded: boolean
}

/** Keys of a trip under which tools and refills are drawn; failures have others. */
const [toolKey, refillKey] = [101, 102]
/** Numbers under a failure's key: when it comes, its techniques, whether it strands, and each try of each fix. */
const [techniqueNumber, strandsNumber, holdsNumber] = [1, 10_000, 20_000]
/** Whether the hands can do a technique, for the failure in hand. */
const [unknown, able, unable] = [0, 1, 2]

/**
 * Trips drawn with one kit, as many as one likes and again as many. The n-th trip of a seed is the same whatever is
 * carried: what fails when, whether a shop has a part, whether hands can. Two kits are compared on the same trips.
 */
export class Simulation {
  private readonly departure: Departure
  private readonly tries: Try[][][]
  private readonly failures: FailureDraws
  private readonly itemKeys: readonly number[]
  private readonly stockKeys: readonly number[]
  /** What is carried that provides functions. */
  private readonly tools: readonly {
    readonly item: number
    readonly count: number
    readonly provides: readonly number[]
    readonly condition: number
  }[]
  /** For each leg, what of that which is carried may be filled up. */
  private readonly refills: readonly (readonly { readonly stock: number; readonly chance: number }[])[]
  private readonly left: Float64Array
  private readonly working: Uint8Array
  private readonly hands: Uint8Array
  /** Attempts that were made in one way already, for the failure in hand. */
  private readonly begun: Uint8Array
  private readonly uses: UseLog
  private trips = 0
  private sum = { hours: 0, hoursSquared: 0, walkH: 0, walkSquared: 0, stranded: 0 }
  private readonly strandedOn: Float64Array
  private readonly walks: number[] = []

  /** @param counts how many of each item are carried, in their order */
  constructor(
    private readonly ledger: IndexedLedger,
    counts: ArrayLike<number>,
    private readonly seed: number,
  ) {
    this.departure = departureWith(ledger, counts)
    this.tries = ledger.events.map((event) =>
      Array.from({ length: ledger.legs }, (_, leg) => triesOf(event, leg, this.departure.conditions)),
    )
    this.failures = new FailureDraws(ledger)
    this.itemKeys = keysOf(ledger.items.map(({ id }) => id))
    this.stockKeys = keysOf(ledger.stocks)
    this.tools = ledger.items.flatMap(({ provides, condition }, item) =>
      provides.length > 0 && nth(counts, item) > 0 ? [{ item, count: nth(counts, item), provides, condition }] : [],
    )
    this.refills = Array.from({ length: ledger.legs }, (_, leg) =>
      ledger.refillChance.flatMap((chances, stock) => {
        const chance = numberAt(chances, leg)
        return chance > 0 && numberAt(this.departure.amounts, stock) > 0 ? [{ stock, chance }] : []
      }),
    )
    this.left = new Float64Array(ledger.stocks.length)
    this.working = new Uint8Array(ledger.functions.length)
    this.hands = new Uint8Array(Math.max(0, ...ledger.events.map(({ techniques }) => techniques)))
    this.begun = new Uint8Array(Math.max(0, ...ledger.events.map(({ fixes }) => fixes.length)))
    this.uses = new UseLog(ledger, counts)
    this.strandedOn = new Float64Array(ledger.legs)
  }

  /** Hours on foot of each trip so far. */
  get walkHours(): readonly number[] {
    return this.walks
  }

  /** Draws so many trips more. */
  run(trips: number): void {
    for (let i = 0; i < trips; i++) this.next()
  }

  /** Draws one trip more. */
  next(): DrawnTrip {
    return this.trip(keyUnder(this.seed, this.trips++))
  }

  private trip(tripKey: number): DrawnTrip {
    const { ledger } = this
    this.failures.begin(tripKey)
    this.depart(tripKey)
    let [hours, walkH, strandedOn] = [0, 0, -1]
    for (let leg = 0; leg < ledger.legs; leg++) {
      if (leg > 0) this.refill(leg, tripKey)
      for (const { event: e, key } of this.failures.on(leg)) {
        const event = nth(ledger.events, e)
        const mended = this.mend(nth(nth(this.tries, e), leg), leg, key)
        hours += mended.workH
        if (mended.by) {
          hours += numberAt(mended.by.fix.residualH, leg)
          walkH += numberAt(mended.by.fix.residualWalkH, leg)
          continue
        }
        hours += numberAt(event.lossH, leg)
        walkH += numberAt(event.walkH, leg)
        if (strandedOn < 0 && uniformUnder(key, strandsNumber) < numberAt(event.strands, leg)) strandedOn = leg
      }
    }
    this.uses.endTrip()
    this.count(hours, walkH, strandedOn)
    return { hours, walkH, isStranded: strandedOn >= 0 }
  }

  /** Everything is full, and some tools do not work. */
  private depart(tripKey: number): void {
    this.left.set(this.departure.amounts)
    this.working.fill(0)
    const key = keyUnder(tripKey, toolKey)
    for (const { item, count, provides, condition } of this.tools) {
      for (let copy = 0; copy < count; copy++) {
        if (condition < 1 && uniformUnder(keyUnder(key, nth(this.itemKeys, item)), copy) >= condition) continue
        for (const name of provides) {
          if (this.working[name] === 0) this.uses.does(name, item, copy)
          this.working[name] = 1
        }
        break
      }
    }
  }

  private refill(leg: number, tripKey: number): void {
    const key = keyUnder(keyUnder(tripKey, refillKey), leg)
    for (const { stock, chance } of nth(this.refills, leg)) {
      const full = numberAt(this.departure.amounts, stock)
      if (this.left[stock] === full || (chance < 1 && uniformUnder(key, nth(this.stockKeys, stock)) >= chance)) continue
      this.left[stock] = full
    }
  }

  /** Goes through the fixes of a failure: the hours of all tries, and the one that held. */
  private mend(tries: readonly Try[], leg: number, key: number): { workH: number; by: Try | undefined } {
    this.hands.fill(unknown)
    this.begun.fill(0)
    let workH = 0
    for (const way of tries) {
      const { fix, holds, most } = way
      if (this.begun[fix.attempt] || !this.canDo(fix.needs)) continue
      this.begun[fix.attempt] = 1
      for (let again = 0; again < most; again++) {
        if (this.hands[fix.technique] === unable || !this.draw(fix.uses, leg)) break
        for (const need of fix.needs) this.uses.usedFunction(need)
        workH += numberAt(fix.workH, leg)
        if (this.hands[fix.technique] === unknown) {
          this.hands[fix.technique] = uniformUnder(key, techniqueNumber + fix.technique) < fix.hands ? able : unable
        }
        if (this.hands[fix.technique] === unable) break
        const number = holdsNumber + fix.number * mostTries + again
        if (uniformUnder(key, number) < holds) return { workH, by: way }
      }
    }
    return { workH, by: undefined }
  }

  private canDo(needs: readonly number[]): boolean {
    for (const need of needs) if (this.working[need] === 0) return false
    return true
  }

  /** Takes what a try uses, if all of it is at hand. */
  private draw(uses: readonly Amount[], leg: number): boolean {
    for (const { stock, amount } of uses) {
      if (numberAt(this.left, stock) >= amount - roundingAmount) continue
      this.uses.lacked(stock, leg)
      return false
    }
    for (const { stock, amount } of uses) {
      const rest = Math.max(0, numberAt(this.left, stock) - amount)
      this.left[stock] = rest
      this.uses.drew(stock, numberAt(this.departure.amounts, stock) - rest)
    }
    return true
  }

  report(): SimulationReport {
    const { trips, sum } = this
    const mean = (total: number) => (trips > 0 ? total / trips : 0)
    const se = (total: number, squares: number) =>
      trips > 1 ? Math.sqrt(Math.max(0, mean(squares) - mean(total) ** 2) / (trips - 1)) : 0
    return {
      trips,
      meanH: mean(sum.hours),
      seH: se(sum.hours, sum.hoursSquared),
      walkH: mean(sum.walkH),
      walkSeH: se(sum.walkH, sum.walkSquared),
      stranded: mean(sum.stranded),
      strandedSe: se(sum.stranded, sum.stranded),
      strandedOn: Array.from(this.strandedOn, mean),
      ranOut: this.uses.ranOut(trips),
      neverUsed: this.uses.neverUsed(),
    }
  }

  private count(hours: number, walkH: number, strandedOn: number): void {
    this.sum.hours += hours
    this.sum.hoursSquared += hours * hours
    this.sum.walkH += walkH
    this.sum.walkSquared += walkH * walkH
    this.walks.push(walkH)
    if (strandedOn < 0) return
    this.sum.stranded++
    this.strandedOn[strandedOn] = numberAt(this.strandedOn, strandedOn) + 1
  }
}
