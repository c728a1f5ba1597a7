import type { KitHours } from '../ledger'
import { nth, numberAt } from '../validation'
import { AmountsLeft, amountsOf } from './amounts-left'
import type { Demand } from './demand'
import { conditionGrains, type Allowed, type DemandStream, type Facing } from './demand-stream'
import { FailureWalk } from './failure-walk'
import { Journal, type Row } from './journal'
import { followStocks, plenty, type NumberedLaw, type StockLaw } from './stock-law'
import { StreamDraws } from './stream-draws'
import { accountOfStream, hoursOfStream, onFootOfStream, type StreamAccount, type StreamOnFoot } from './stream-cost'
import type { Faced } from './worked-out'

/** A change of a kit: so many more (or fewer) of an item. */
export interface Change {
  readonly item: number
  readonly by: number
}

/** Which clusters a change is followed to: those that it makes more or less of, or all that are drawn on otherwise then. */
type Followed = 'itself' | 'all'

/**
 * What a kit promises, kept in step with changes of the kit one item at a time.
 *
 * Each cluster of stocks is followed by itself through the trip (`followStocks`), and each stream of failures through its
 * tries (`FailureWalk`), with what is at hand in the mean over legs. A change is followed to the clusters and streams that it
 * touches; what those then draw of further clusters is left as it was until `settle`.
 */
export class KitPromise {
  readonly counts: Int32Array
  private readonly amounts: Float64Array
  /** How good each stock is; 0 where nothing of it is carried. */
  private readonly conditions: Float64Array
  /** Of each stream, what the tools allow, and what it faces. */
  private readonly allowed: Allowed[]
  private readonly faced: Faced[]
  /** Of each cluster of stocks. */
  private readonly laws: NumberedLaw[]
  /** Hours that each stream costs. */
  private readonly costs: number[]
  /** For each stream, what it draws of each cluster, by the number of that; none where it is not known. */
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
    this.conditions = new Float64Array(ledger.stocks.length)
    this.walk = new FailureWalk(limits)
    ledger.stocks.forEach((_, stock) => this.carry(stock))
    this.allowed = streams.map((stream) => stream.allowedBy(this.counts))
    this.faced = streams.map((_, number) => this.facedNow(number))
    this.laws = demand.clusters.map(() => demand.none)
    this.draws = streams.map(() => [])
    demand.clusters.forEach((_, cluster) => this.follow(cluster))
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
    const [stream, { facing }] = [nth(this.demand.streams, number), nth(this.faced, number)]
    return accountOfStream(stream, facing, this.lawsMetBy(number), this.walk, (stock) => this.isCarried(stock))
  }

  isCarried(stock: number): boolean {
    return numberAt(this.amounts, stock) > 0
  }

  /** Whether any of the stocks of a cluster is carried. */
  isAnyCarried(cluster: number): boolean {
    return nth(this.laws, cluster) !== this.demand.none
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
    return streams.map((stream) =>
      hoursOfStream(
        stream,
        stream.facing(stream.allowedBy(all), good),
        [plenty(stream.stocks, ledger.legs)],
        this.walk,
      ),
    )
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

  /** Works out what is left in each cluster from what is left in the others, so many times or until nothing moves. */
  settle(rounds: number): void {
    for (let round = 0; round < rounds; round++) {
      const stale = new Set<number>()
      this.draws.forEach((known, number) => {
        for (const cluster of nth(this.demand.clustersOfStream, number)) {
          const others = known[cluster]?.others ?? []
          if (others.some(({ other, law }) => distance(nth(this.laws, other), law) > leastDifference)) {
            this.write(known, cluster, undefined)
            stale.add(cluster)
          }
        }
      })
      if (stale.size === 0) return
      this.refollow(stale, new Set())
    }
  }

  private change(changes: readonly Change[], follow: Followed): void {
    const { items } = this.demand.ledger
    const { clusterOf, clustersOfStream, ofStock, streamsOfFunction } = this.demand
    const changed = new Set<number>()
    const tooled = new Set<number>()
    const streams = new Set<number>()
    for (const { item, by } of changes) {
      this.write(this.counts, item, nth(this.counts, item) + by)
      for (const name of nth(items, item).provides) {
        for (const number of nth(streamsOfFunction, name)) tooled.add(number)
      }
      for (const { stock } of nth(items, item).units) {
        if (this.carry(stock)) for (const number of nth(ofStock, stock).streams) streams.add(number)
        changed.add(nth(clusterOf, stock))
      }
    }
    for (const number of tooled) {
      const allowed = nth(this.demand.streams, number).allowedBy(this.counts)
      if (allowed === nth(this.allowed, number)) continue
      this.write(this.allowed, number, allowed)
      streams.add(number)
    }
    const touched = new Set<number>()
    for (const number of streams) {
      const faced = this.facedNow(number)
      if (faced === nth(this.faced, number)) continue
      this.write(this.faced, number, faced)
      touched.add(number)
      if (follow === 'all') for (const cluster of nth(clustersOfStream, number)) changed.add(cluster)
    }
    this.refollow(changed, touched)
  }

  private facedNow(number: number): Faced {
    const facing = nth(this.demand.streams, number).facing(nth(this.allowed, number), this.conditions)
    return this.demand.workedOut.faced(facing)
  }

  /** Follows some clusters anew, and the streams that draw on them or are touched otherwise. */
  private refollow(clusters: ReadonlySet<number>, streams: Set<number>): void {
    for (const cluster of clusters) {
      const moved = this.follow(cluster)
      for (const number of nth(this.demand.clusters, cluster).streams) {
        if (moved * nth(this.demand.streams, number).hoursAtStake > leastMovedH) streams.add(number)
      }
    }
    for (const number of streams) this.write(this.costs, number, this.costOf(number))
  }

  /** What is carried of a stock, and how good it is. @returns whether it is better or worse than before */
  private carry(stock: number): boolean {
    const { items } = this.demand.ledger
    let [amount, good] = [0, 0]
    for (const { item, amount: each } of nth(this.demand.ofStock, stock).suppliers) {
      const carried = nth(this.counts, item) * each
      amount += carried
      good += carried * nth(items, item).condition
    }
    this.write(this.amounts, stock, amount)
    const before = numberAt(this.conditions, stock)
    // Rounded, so that two as good as one are as good as one.
    this.write(this.conditions, stock, amount > 0 ? Math.round((conditionGrains * good) / amount) / conditionGrains : 0)
    return numberAt(this.conditions, stock) !== before
  }

  /** @returns by how much a chance of what is at hand has changed at most */
  private follow(cluster: number): number {
    const { ledger, none, ofStock, clusters, workedOut } = this.demand
    const { stocks, kept, streams: drawing, others, number: clusterNumber } = nth(clusters, cluster)
    const full = stocks.map((stock) => numberAt(this.amounts, stock))
    if (drawing.length === 0 || full.every((amount) => amount === 0)) {
      const had = nth(this.laws, cluster) !== none
      if (had) this.write(this.laws, cluster, none)
      return had ? 1 : 0
    }
    const known = drawing.map((number, place) => this.drawsOf(number, cluster, nth(others, place)))
    const law = workedOut.law(
      clusterNumber,
      full,
      known,
      () =>
        new AmountsLeft(
          stocks,
          stocks.map((stock, s) => amountsOf(nth(full, s), nth(ofStock, stock).draws)),
        ),
      (amounts) => {
        const refillChance = stocks.map((stock) => nth(ledger.refillChance, stock))
        return followStocks(amounts, ledger.legs, refillChance, known, kept)
      },
    )
    const moved = distance(nth(this.laws, cluster), law)
    this.write(this.laws, cluster, law)
    return moved
  }

  private drawsOf(number: number, cluster: number, others: readonly number[]): StreamDraws {
    const faced = nth(this.faced, number)
    const inForce = nth(this.draws, number)
    const now = inForce[cluster]
    if (now?.facing === faced.facing) return now
    const draws = this.demand.workedOut.draws(faced, cluster, others, this.laws, (drawsNumber) =>
      this.freshDraws(drawsNumber, number, cluster, faced.facing, others),
    )
    this.write(inForce, cluster, draws)
    return draws
  }

  private freshDraws(
    drawsNumber: number,
    number: number,
    cluster: number,
    facing: Facing,
    others: readonly number[],
  ): StreamDraws {
    const stream = nth(this.demand.streams, number)
    const laws = others.map((other) => ({ other, law: nth(this.laws, other) }))
    return new StreamDraws(drawsNumber, stream, facing, nth(this.demand.clusters, cluster).stocks, laws, this.walk)
  }

  private costOf(number: number): number {
    const faced = nth(this.faced, number)
    const clusters = nth(this.demand.clustersOfStream, number)
    return (
      this.demand.workedOut.knownHours(faced, clusters, this.laws) ??
      this.demand.workedOut.hours(faced, clusters, this.laws, () =>
        hoursOfStream(nth(this.demand.streams, number), faced.facing, this.lawsMetBy(number), this.walk),
      )
    )
  }

  private onFootOf(number: number): StreamOnFoot {
    const [stream, faced] = [nth(this.demand.streams, number), nth(this.faced, number)]
    return this.demand.workedOut.onFoot(faced, nth(this.demand.clustersOfStream, number), this.laws, () =>
      onFootOfStream(stream, faced.facing, this.lawsMetBy(number), this.walk),
    )
  }

  /** The laws of the clusters that a stream draws on. */
  private lawsMetBy(number: number): StockLaw[] {
    return nth(this.demand.clustersOfStream, number).map((cluster) => nth(this.laws, cluster))
  }

  private write<T>(list: Row<T>, index: number, value: T): void {
    const before = list[index]
    if (before === value) return
    this.journal?.note(list, index, before)
    list[index] = value
  }
}

/** What is drawn of a cluster is worked out anew where what is at hand of another has changed by more than this. */
const leastDifference = 1e-3
/** What a stream costs is worked out anew where it can have changed by more than this. */
const leastMovedH = 2e-6

/**
 * By how much the chance of what is at hand differs at most: of a stock alone that of so much or more (Kolmogorov's distance),
 * of several that of anything (total variation).
 */
function distance(a: StockLaw, b: StockLaw): number {
  if (a === b) return 0
  if (a.amounts !== b.amounts) return 1
  let most = distanceOnLegs(a.amounts, a.sudden, b.sudden)
  for (const [stream, onLegs] of a.worn) {
    const other = b.worn.get(stream)
    most = Math.max(most, other ? distanceOnLegs(a.amounts, onLegs, other) : 1)
  }
  return most
}

function distanceOnLegs({ stocks, size }: AmountsLeft, some: Float64Array, others: Float64Array): number {
  const isAlone = stocks.length === 1
  let most = 0
  for (let start = 0; start < some.length; start += size) {
    let [more, apart] = [0, 0]
    for (let i = start; i < start + size; i++) {
      const by = numberAt(some, i) - numberAt(others, i)
      more += by
      apart = isAlone ? Math.max(apart, Math.abs(more)) : apart + Math.abs(by) / 2
    }
    most = Math.max(most, apart)
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
