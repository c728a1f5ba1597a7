import type { KitHours } from '../ledger'
import { nth, numberAt } from '../validation'
import { amountsLeft } from './amounts-left'
import { meanAtHand, noneAtHand, type AtHand } from './at-hand'
import type { Demand } from './demand'
import type { DemandStream, Facing, LegGroup } from './demand-stream'
import { FailureWalk, type Drawn } from './failure-walk'
import { followStock, nothingCarried, type StockLaw } from './stock-law'

/** A change of a kit: so many more (or fewer) of an item. */
export interface Change {
  readonly item: number
  readonly by: number
}

/** What one stream of failures costs with the kit as it is. */
interface Cost {
  readonly hours: number
  readonly walkH: number
  readonly strandings: number
}

/** What a stream draws of one stock, and what was at hand of the others when that was worked out. */
interface KnownDraws {
  readonly number: number
  readonly facing: Facing
  readonly others: ReadonlyMap<number, StockLaw>
  readonly groups: readonly {
    readonly legs: readonly number[]
    readonly atHand: readonly AtHand[]
    readonly byLeft: Map<number, Drawn>
    /** So much is enough for whatever comes: of more, no more is drawn. */
    enough: number
  }[]
}

/** So many laws of a stock are kept in mind. */
const mostLaws = 500

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
  private readonly laws: StockLaw[]
  private readonly costs: Cost[]
  /** For each stream, what it draws of each stock that it uses. */
  private readonly draws: Map<number, KnownDraws>[]
  /** What has been worked out before: draws by stream, stock and what is carried against the stream; laws by their draws. */
  private readonly drawsBefore: Map<number, Map<Facing, KnownDraws>>[]
  private readonly lawsBefore: Map<string, StockLaw>[]
  private drawsWorkedOut = 0
  private readonly walk: FailureWalk
  /** How what is tried is taken back; undefined while changes are for good. */
  private takenBack: (() => void)[] | undefined

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
    this.laws = ledger.stocks.map(() => nothingCarried(ledger.legs))
    this.draws = streams.map(() => new Map<number, KnownDraws>())
    this.drawsBefore = streams.map(() => new Map<number, Map<Facing, KnownDraws>>())
    this.lawsBefore = ledger.stocks.map(() => new Map<string, StockLaw>())
    ledger.stocks.forEach((_, stock) => this.follow(stock))
    this.costs = streams.map((_, number) => this.costOf(number))
  }

  get hours(): KitHours {
    let [promiseH, walkH, unstranded] = [0, 0, 1]
    this.costs.forEach((cost, number) => {
      promiseH += cost.hours
      walkH += cost.walkH
      unstranded *= chanceOfNone(cost.strandings, nth(this.demand.streams, number))
    })
    return { promiseH, walkH, stranded: 1 - unstranded }
  }

  get promiseH(): number {
    let sum = 0
    for (const { hours } of this.costs) sum += hours
    return sum
  }

  /** Makes a change for good. */
  apply(changes: readonly Change[]): void {
    this.takenBack = undefined
    this.change(changes)
  }

  /** Tries a change, reads something off, and takes the change back. */
  tryOut<T>(changes: readonly Change[], read: () => T): T {
    const outer = this.takenBack
    const taken: (() => void)[] = []
    this.takenBack = taken
    this.change(changes)
    const result = read()
    for (const back of taken.reverse()) back()
    this.takenBack = outer
    return result
  }

  /** Works out what is left of each stock from what is left of the others, so many times or until nothing moves. */
  settle(rounds: number): void {
    for (let round = 0; round < rounds; round++) {
      const stale = new Set<number>()
      this.draws.forEach((known) => {
        for (const [stock, { others }] of known) {
          if ([...others].some(([other, law]) => differ(nth(this.laws, other), law))) {
            this.set(known, stock, undefined)
            stale.add(stock)
          }
        }
      })
      if (stale.size === 0) return
      this.refollow(stale, new Set())
    }
  }

  private change(changes: readonly Change[]): void {
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
      for (const stock of stream.stocks) stocks.add(stock)
    }
    this.refollow(stocks, touched)
  }

  /** Follows some stocks anew, and the streams that draw on them or are touched otherwise. */
  private refollow(stocks: ReadonlySet<number>, streams: Set<number>): void {
    for (const stock of stocks) {
      if (!this.follow(stock)) continue
      for (const number of nth(this.demand.ofStock, stock).streams) streams.add(number)
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

  /** @returns whether what is left of the stock may have changed */
  private follow(stock: number): boolean {
    const { ledger, ofStock } = this.demand
    const full = numberAt(this.amounts, stock)
    const { draws, streams: drawing } = nth(ofStock, stock)
    if (full === 0 || drawing.length === 0) {
      const had = nth(nth(this.laws, stock).sudden, 0) !== noneAtHand
      if (had) this.write(this.laws, stock, nothingCarried(ledger.legs))
      return had
    }
    const known = drawing.map((number) => this.knownDraws(number, stock))
    const before = nth(this.lawsBefore, stock)
    const key = `${full} ${known.map(({ number }) => number).join(' ')}`
    const law = before.get(key) ?? this.lawOf(stock, amountsLeft(full, draws), known)
    if (before.size > mostLaws) before.clear()
    before.set(key, law)
    this.write(this.laws, stock, law)
    return true
  }

  private lawOf(stock: number, amounts: Float64Array, known: readonly KnownDraws[]): StockLaw {
    const { ledger, streams, ofStock } = this.demand
    const { kept, streams: drawing } = nth(ofStock, stock)
    return followStock(
      amounts,
      nth(ledger.refillChance, stock),
      drawing.map((number, i) => ({
        stream: nth(streams, number),
        isKept: kept.has(number),
        groups: this.drawn(nth(known, i), stock, amounts),
      })),
    )
  }

  /** What a stream draws of a stock on each group of legs, for each amount left. */
  private drawn(
    { facing, groups }: KnownDraws,
    stock: number,
    amounts: Float64Array,
  ): { readonly legs: readonly number[]; readonly drawn: readonly Drawn[] }[] {
    return groups.map((group, g) => {
      const { tries } = nth(facing.groups, g)
      const drawn = Array.from(amounts, (left) => {
        const before = group.byLeft.get(Math.min(left, group.enough))
        if (before) return before
        const fresh: Drawn = { amounts: [], chances: [] }
        const isShort = facing.scenarios.map((chance, s) =>
          this.walk.draw(fresh, stock, left, nth(tries, s), group.atHand, chance),
        )
        if (!isShort.includes(true)) group.enough = left
        group.byLeft.set(left, fresh)
        return fresh
      })
      return { legs: group.legs, drawn }
    })
  }

  private knownDraws(number: number, stock: number): KnownDraws {
    const facing = nth(this.facings, number)
    const inForce = nth(this.draws, number)
    const now = inForce.get(stock)
    if (now?.facing === facing) return now
    const ofStream = nth(this.drawsBefore, number)
    const byFacing = ofStream.get(stock) ?? new Map<Facing, KnownDraws>()
    ofStream.set(stock, byFacing)
    const before = byFacing.get(facing)
    const known =
      before && [...before.others].every(([other, law]) => nth(this.laws, other) === law)
        ? before
        : this.freshDraws(number, stock, facing)
    byFacing.set(facing, known)
    this.set(inForce, stock, known)
    return known
  }

  private freshDraws(number: number, stock: number, facing: Facing): KnownDraws {
    const stream = nth(this.demand.streams, number)
    const others = new Map(
      stream.stocks.filter((other) => other !== stock).map((other) => [other, nth(this.laws, other)]),
    )
    return {
      number: this.drawsWorkedOut++,
      facing,
      others,
      groups: facing.groups.map((group) => ({
        legs: group.legs,
        atHand: atHandOver(stream, group, group.byFailures, (other) => others.get(other)),
        byLeft: new Map<number, Drawn>(),
        enough: Infinity,
      })),
    }
  }

  private costOf(number: number): Cost {
    const stream = nth(this.demand.streams, number)
    const facing = nth(this.facings, number)
    const lawNow = (stock: number) => this.laws[stock]
    let [hours, walkH, strandings] = [0, 0, 0]
    for (const group of facing.groups) {
      // What nothing mends counts by the hours at stake on each leg, what is tried by how often.
      const unmended = this.follows(facing, group, atHandOver(stream, group, group.byHours, lawNow)).unmended
      hours += unmended * group.lossH
      walkH += unmended * group.walkH
      strandings += unmended * group.strandings
      const walk = this.follows(facing, group, atHandOver(stream, group, group.byFailures, lawNow))
      for (let f = 0; f < stream.event.fixes.length; f++) {
        const held = numberAt(walk.held, f)
        hours += numberAt(walk.tried, f) * numberAt(group.workH, f) + held * numberAt(group.residualH, f)
        walkH += held * numberAt(group.residualWalkH, f)
      }
    }
    return { hours, walkH, strandings }
  }

  private follows(facing: Facing, group: LegGroup, atHand: readonly AtHand[]): FailureWalk {
    this.walk.begin()
    facing.scenarios.forEach((chance, s) => this.walk.follow(nth(group.tries, s), atHand, chance))
    return this.walk
  }

  private write<T>(list: { [index: number]: T }, index: number, value: T): void {
    const before = list[index]
    if (before !== undefined) this.takenBack?.push(() => (list[index] = before))
    list[index] = value
  }

  private set<K, V>(map: Map<K, V>, key: K, value: V | undefined): void {
    const before = map.get(key)
    this.takenBack?.push(() => (before === undefined ? map.delete(key) : map.set(key, before)))
    if (value === undefined) map.delete(key)
    else map.set(key, value)
  }
}

/** What a stream finds of a stock. */
const found = (stream: DemandStream, law: StockLaw) => law.worn.get(stream) ?? law.sudden

/** What a stream finds of each stock, in the mean over a group of legs. */
function atHandOver(
  stream: DemandStream,
  { legs }: LegGroup,
  weights: Float64Array,
  lawOf: (stock: number) => StockLaw | undefined,
): AtHand[] {
  const atHand: AtHand[] = []
  for (const stock of stream.stocks) {
    const law = lawOf(stock)
    atHand[stock] = law ? meanAtHand(found(stream, law), weights, legs) : noneAtHand
  }
  return atHand
}

/** Chances that differ by less than this are the same. */
const leastDifference = 1e-4

function differ(a: StockLaw, b: StockLaw): boolean {
  if (a === b) return false
  const pairs = [[a.sudden, b.sudden], ...[...a.worn].map(([stream, onLegs]) => [onLegs, b.worn.get(stream) ?? []])]
  return pairs.some(([some, others]) =>
    (some ?? []).some(({ amounts, atLeast }, leg) => {
      const other = others?.[leg]
      return (
        other?.amounts.length !== amounts.length ||
        atLeast.some((chance, i) => Math.abs(chance - numberAt(other.atLeast, i)) > leastDifference)
      )
    }),
  )
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
