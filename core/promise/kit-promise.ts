import type { KitHours } from '../ledger'
import { nth, numberAt } from '../validation'
import { amountsLeft } from './amounts-left'
import type { AtHand } from './at-hand'
import type { Demand } from './demand'
import type { DemandStream, Facing } from './demand-stream'
import { FailureWalk } from './failure-walk'
import { Journal, type Row } from './journal'
import { followStock, plenty, type NumberedLaw, type StockLaw } from './stock-law'
import { StreamDraws } from './stream-draws'
import { accountOfStream, hoursOfStream, onFootOfStream, type StreamAccount, type StreamOnFoot } from './stream-cost'

/** A change of a kit: so many more (or fewer) of an item. */
export interface Change {
  readonly item: number
  readonly by: number
}

/** Which stocks a change is followed to: those that it makes more or less of, or all that are drawn on otherwise then. */
type Followed = 'itself' | 'all'

/**
 * What a kit promises, kept in step with changes of the kit one item at a time.
 *
 * Each stock is followed by itself through the trip (`followStock`), and each stream of failures through its tries
 * (`FailureWalk`), with what is at hand of a stock in the mean over legs. A change is followed to the stocks and streams that it touches; what those then draw of further stocks is left as it was until `settle`.
 */
export class KitPromise {
  readonly counts: Int32Array
  private readonly amounts: Float64Array
  private readonly conditions: Float64Array
  private readonly facings: Facing[]
  private readonly laws: NumberedLaw[]
  /** Hours that each stream costs. */
  private readonly costs: number[]
  /** For each stream, what it draws of each stock that it uses, by the number of the stock; none where that is not known. */
  private readonly draws: (StreamDraws | undefined)[][]
  private leastCosts: readonly number[] | undefined
  private readonly walk: FailureWalk
  /** What was written over since a trial began; undefined while changes are for good. */
  private journal: Journal | undefined

  constructor(
    private readonly demand: Demand,
    counts: ArrayLike<number>,
  ) {
    const { ledger, streams, limits } = demand
    this.counts = Int32Array.from(counts)
    this.amounts = new Float64Array(ledger.stocks.length)
    this.conditions = new Float64Array(ledger.stocks.length).fill(1)
    this.walk = new FailureWalk(limits)
    ledger.stocks.forEach((_, stock) => this.carry(stock))
    this.facings = streams.map((stream) => stream.facing(this.counts, this.conditions))
    this.laws = ledger.stocks.map(() => demand.none)
    this.draws = streams.map(() => [])
    ledger.stocks.forEach((_, stock) => this.follow(stock))
    this.costs = streams.map((_, number) => this.costOf(number))
  }

  get hours(): KitHours {
    let [walkH, unstranded] = [0, 1]
    this.demand.streams.forEach((stream, number) => {
      const onFoot = this.onFootOf(number)
      walkH += onFoot.walkH
      unstranded *= chanceOfNone(onFoot.strandings, stream)
    })
    return { promiseH: this.promiseH, walkH, stranded: 1 - unstranded }
  }

  get promiseH(): number {
    let sum = 0
    for (const hours of this.costs) sum += hours
    return sum
  }

  /** Hours that each stream of failures costs, by their numbers. */
  hoursByStream(): Float64Array {
    return Float64Array.from(this.costs)
  }

  /** What becomes of the failures of a stream, by its number. */
  account(number: number): StreamAccount {
    const [stream, facing] = [nth(this.demand.streams, number), nth(this.facings, number)]
    return accountOfStream(stream, facing, this.laws, this.walk, (stock) => this.isCarried(stock))
  }

  isCarried(stock: number): boolean {
    return numberAt(this.amounts, stock) > 0
  }

  /** What a stream costs beyond what it would with everything at hand, and never at an end. */
  beyondLeast(number: number): number {
    this.leastCosts ??= this.costsWithPlenty()
    return nth(this.costs, number) - nth(this.leastCosts, number)
  }

  private costsWithPlenty(): number[] {
    const { ledger, streams } = this.demand
    const all = ledger.items.map(({ max }) => max)
    const good = new Float64Array(ledger.stocks.length).fill(1)
    const laws = ledger.stocks.map(() => plenty(ledger.legs))
    return streams.map((stream) => hoursOfStream(stream, stream.facing(all, good), laws, this.walk))
  }

  /** Makes a change: for good, or until what is being tried is taken back. */
  apply(changes: readonly Change[]): void {
    this.change(changes, 'all')
  }

  /**
   * Makes a change at first sight, until what is being tried is taken back: only what itself changes is followed. What other
   * stocks come to beside it stays as it was, so that what can be done more looks a little better than it is.
   */
  applyAtSight(changes: readonly Change[]): void {
    this.change(changes, 'itself')
  }

  /** Tries a change, reads something off (further changes may be made for that), and takes all back. */
  tryOut<T>(changes: readonly Change[], read: () => T): T {
    return this.attempt(() => {
      this.apply(changes)
      return read()
    })
  }

  /** The same at first sight. */
  tryAtSight<T>(changes: readonly Change[], read: () => T): T {
    return this.attempt(() => {
      this.applyAtSight(changes)
      return read()
    })
  }

  /** Lets changes be made and something be read off, and takes all back unless what was read says that it is to be kept. */
  attempt<T>(make: () => T, isKept: (result: T) => boolean = () => false): T {
    const outer = this.journal
    const journal = new Journal()
    this.journal = journal
    const result = make()
    if (isKept(result)) outer?.addAll(journal)
    else journal.takeBack()
    this.journal = outer
    return result
  }

  /** Works out what is left of each stock from what is left of the others, so many times or until nothing moves. */
  settle(rounds: number): void {
    for (let round = 0; round < rounds; round++) {
      const stale = new Set<number>()
      this.draws.forEach((known, number) => {
        for (const stock of nth(this.demand.streams, number).stocks) {
          const others = known[stock]?.others ?? []
          if (others.some(({ other, law }) => distance(nth(this.laws, other), law) > leastDifference)) {
            this.write(known, stock, undefined)
            stale.add(stock)
          }
        }
      })
      if (stale.size === 0) return
      this.refollow(stale, new Set())
    }
  }

  private change(changes: readonly Change[], follow: Followed): void {
    const { items } = this.demand.ledger
    const stocks = new Set<number>()
    const streams = new Set<number>()
    for (const { item, by } of changes) {
      this.write(this.counts, item, nth(this.counts, item) + by)
      for (const name of nth(items, item).provides) {
        for (const number of nth(this.demand.streamsOfFunction, name)) streams.add(number)
      }
      for (const { stock } of nth(items, item).units) stocks.add(stock)
    }
    for (const stock of stocks) {
      this.carry(stock)
      for (const number of nth(this.demand.ofStock, stock).streams) streams.add(number)
    }
    const touched = new Set<number>()
    for (const number of streams) {
      const stream = nth(this.demand.streams, number)
      const facing = stream.facing(this.counts, this.conditions)
      if (facing === nth(this.facings, number)) continue
      this.write(this.facings, number, facing)
      touched.add(number)
      if (follow === 'all') for (const stock of stream.stocks) stocks.add(stock)
    }
    this.refollow(stocks, touched)
  }

  /** Follows some stocks anew, and the streams that draw on them or are touched otherwise. */
  private refollow(stocks: ReadonlySet<number>, streams: Set<number>): void {
    for (const stock of stocks) {
      const moved = this.follow(stock)
      for (const number of nth(this.demand.ofStock, stock).streams) {
        if (moved * nth(this.demand.streams, number).hoursAtStake > leastMovedH) streams.add(number)
      }
    }
    for (const number of streams) this.write(this.costs, number, this.costOf(number))
  }

  /** What is carried of a stock, and how good it is. */
  private carry(stock: number): void {
    const { items } = this.demand.ledger
    let [amount, good] = [0, 0]
    for (const { item, amount: each } of nth(this.demand.ofStock, stock).suppliers) {
      const carried = nth(this.counts, item) * each
      amount += carried
      good += carried * nth(items, item).condition
    }
    this.write(this.amounts, stock, amount)
    this.write(this.conditions, stock, amount > 0 ? good / amount : 1)
  }

  /** @returns by how much a chance of what is at hand has changed at most */
  private follow(stock: number): number {
    const { ledger, none, ofStock, workedOut } = this.demand
    const full = numberAt(this.amounts, stock)
    const { kept, streams: drawing, draws: amountsDrawn } = nth(ofStock, stock)
    if (full === 0 || drawing.length === 0) {
      const had = nth(this.laws, stock) !== none
      if (had) this.write(this.laws, stock, none)
      return had ? 1 : 0
    }
    const known = drawing.map((number) => this.drawsOf(number, stock))
    const law = workedOut.law(
      stock,
      full,
      known,
      () => amountsLeft(full, amountsDrawn),
      (amounts) => followStock(amounts, nth(ledger.refillChance, stock), known, kept),
    )
    const moved = distance(nth(this.laws, stock), law)
    this.write(this.laws, stock, law)
    return moved
  }

  private drawsOf(number: number, stock: number): StreamDraws {
    const facing = nth(this.facings, number)
    const inForce = nth(this.draws, number)
    const now = inForce[stock]
    if (now?.facing === facing) return now
    const others = nth(this.demand.streams, number).stocks.filter((other) => other !== stock)
    const draws = this.demand.workedOut.draws(facing, stock, others, this.laws, (drawsNumber) =>
      this.freshDraws(drawsNumber, number, stock, facing, others),
    )
    this.write(inForce, stock, draws)
    return draws
  }

  private freshDraws(
    drawsNumber: number,
    number: number,
    stock: number,
    facing: Facing,
    others: readonly number[],
  ): StreamDraws {
    const stream = nth(this.demand.streams, number)
    const laws = others.map((other) => ({ other, law: nth(this.laws, other) }))
    return new StreamDraws(drawsNumber, stream, facing, stock, laws, this.walk)
  }

  private costOf(number: number): number {
    const [stream, facing] = [nth(this.demand.streams, number), nth(this.facings, number)]
    return this.demand.workedOut.hours(facing, stream.stocks, this.laws, () =>
      hoursOfStream(stream, facing, this.laws, this.walk),
    )
  }

  private onFootOf(number: number): StreamOnFoot {
    const [stream, facing] = [nth(this.demand.streams, number), nth(this.facings, number)]
    return this.demand.workedOut.onFoot(facing, stream.stocks, this.laws, () =>
      onFootOfStream(stream, facing, this.laws, this.walk),
    )
  }

  private write<T>(list: Row<T>, index: number, value: T): void {
    const before = list[index]
    if (before === value) return
    this.journal?.note(list, index, before)
    list[index] = value
  }
}

/** What is drawn of a stock is worked out anew where a chance of what is at hand of another has changed by more than this. */
const leastDifference = 1e-3
/** What a stream costs is worked out anew where it can have changed by more than this. */
const leastMovedH = 2e-6

/** By how much a chance of what is at hand differs at most. */
function distance(a: StockLaw, b: StockLaw): number {
  if (a === b) return 0
  const worn = [...a.worn].map(([stream, onLegs]) => distanceOnLegs(onLegs, b.worn.get(stream) ?? []))
  return Math.max(distanceOnLegs(a.sudden, b.sudden), ...worn)
}

function distanceOnLegs(some: readonly AtHand[], others: readonly AtHand[]): number {
  let most = 0
  for (let leg = 0; leg < some.length; leg++) {
    const [mine, other] = [nth(some, leg), others[leg]]
    if (mine.amounts !== other?.amounts) return 1
    for (let i = 0; i < mine.atLeast.length; i++) {
      most = Math.max(most, Math.abs(numberAt(mine.atLeast, i) - numberAt(other.atLeast, i)))
    }
  }
  return most
}

/**
 * The chance that none of the failures of a stream strands: what comes of a sudden strands as if of a Poisson law, what wears
 * out as often as it wears out.
 */
function chanceOfNone(strandings: number, { wear, expectedInAll }: DemandStream): number {
  if (!wear) return Math.exp(-strandings)
  const times = Math.max(1, expectedInAll)
  return Math.max(0, 1 - strandings / times) ** times
}
