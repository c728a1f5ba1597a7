import type { IndexedLedger } from '../ledger'
import { nth } from '../validation'
import { areSame, haveSameThings } from './alike'
import { amountsOf } from './amounts-left'
import { clustersOf } from './clusters'
import { demandStreams, type DemandStream } from './demand-stream'
import { nothingCarried, type NumberedLaw } from './stock-law'
import { WorkedOut } from './worked-out'

/** What wears less often than this on a trip draws as if it came of a sudden. */
const leastWorn = 0.05
/** For one cluster, how often each of so many things has worn out is kept in mind; of others it is their mean. */
const mostKept = 2

/**
 * Stocks that failures draw on at once are followed together where they have no more states than this, in a ledger of no more
 * streams than that. In larger ones it moves the promise by less than a hundred thousand drawn trips can tell.
 */
const together = { states: 64, streams: 24 } as const

/** What is asked of one stock. */
export interface StockDemand {
  /** The streams that draw on it, by their numbers. */
  readonly streams: readonly number[]
  /** The amounts that tries draw. */
  readonly draws: readonly number[]
  /** The items that hold some of it. */
  readonly suppliers: readonly { readonly item: number; readonly amount: number }[]
}

/** Stocks that are followed together. */
export interface StockCluster {
  readonly stocks: readonly number[]
  /** The streams that draw on one of them, by their numbers. */
  readonly streams: readonly number[]
  /** For each of those, the other clusters that it draws on. */
  readonly others: readonly (readonly number[])[]
  /** The places among them of those of which it is kept in mind how often their part has worn out. */
  readonly kept: ReadonlySet<number>
  /** What they can come to is known by this number: the same for clusters that come to the same by the same draws. */
  readonly number: number
}

/** All that a ledger asks of whatever is carried. */
export interface Demand {
  readonly ledger: IndexedLedger
  readonly streams: readonly DemandStream[]
  readonly ofStock: readonly StockDemand[]
  readonly clusters: readonly StockCluster[]
  /** For each stock, the number of its cluster. */
  readonly clusterOf: readonly number[]
  /** For each stream, the clusters that it draws on. */
  readonly clustersOfStream: readonly (readonly number[])[]
  /** For each function, the streams that need it. */
  readonly streamsOfFunction: readonly (readonly number[])[]
  readonly limits: { readonly stocks: number; readonly fixes: number; readonly techniques: number }
  /** The law of stocks of which nothing is carried. */
  readonly none: NumberedLaw
  readonly workedOut: WorkedOut
  /** So many demands have handed on what was worked out, one to another. */
  readonly generation: number
}

/** What was worked out is handed on so many times, and then forgotten: of most of it nobody will ask any more. */
const mostGenerations = 40

/**
 * @param earlier the demand of a ledger that may differ in little: what was worked out of failures that are the same is handed
 *   on
 */
export function demandOf(ledger: IndexedLedger, earlier?: Demand): Demand {
  const isAlike = earlier && earlier.generation < mostGenerations && haveSameThings(earlier.ledger, ledger)
  const before = isAlike ? earlier : undefined
  const streams = demandStreams(ledger, before?.streams)
  const streamsOfStock = numbersBy(streams, ({ stocks }) => stocks, ledger.stocks.length)
  const ofStock = ledger.stocks.map((_, stock): StockDemand => {
    const drawing = nth(streamsOfStock, stock)
    return {
      streams: drawing,
      draws: drawsOf(
        drawing.map((number) => nth(streams, number)),
        stock,
      ),
      suppliers: ledger.items.flatMap(({ units }, item) =>
        units.filter((unit) => unit.stock === stock).map(({ amount }) => ({ item, amount })),
      ),
    }
  })
  const alone = ledger.stocks.map((_, stock) => [stock])
  const stocksTogether =
    streams.length <= together.streams ? clustersOf(streams, mostAmountsOf(ledger, ofStock), together.states) : alone
  // What streams draw is kept by the numbers of clusters.
  if (before && !areSameClusters(before.clusters, stocksTogether)) return demandOf(ledger)
  const workedOut = before?.workedOut ?? new WorkedOut()
  const clusterOf = new Array<number>(ledger.stocks.length)
  stocksTogether.forEach((stocks, cluster) => {
    for (const stock of stocks) clusterOf[stock] = cluster
  })
  const clustersOfStream = streams.map(({ stocks }) => [...new Set(stocks.map((stock) => nth(clusterOf, stock)))])
  const streamsOfCluster = numbersBy(clustersOfStream, (clusters) => clusters, stocksTogether.length)
  const most = (count: (stream: DemandStream) => number) => Math.max(0, ...streams.map(count))
  return {
    ledger,
    streams,
    ofStock,
    clusters: stocksTogether.map((stocks, cluster): StockCluster => {
      const drawing = nth(streamsOfCluster, cluster)
      const others = drawing.map((number) => nth(clustersOfStream, number).filter((other) => other !== cluster))
      const kept = mostWorn(streams, drawing)
      const own = { stocks, streams: drawing, others, kept }
      const known = before && nth(before.clusters, cluster)
      const isSame = known && comesToTheSame({ ...before, cluster: known }, { ledger, streams, ofStock, cluster: own })
      return { ...own, number: isSame ? known.number : workedOut.nextCluster() }
    }),
    clusterOf,
    clustersOfStream,
    streamsOfFunction: numbersBy(streams, ({ functions }) => functions, ledger.functions.length),
    limits: {
      stocks: ledger.stocks.length,
      fixes: most(({ event }) => event.fixes.length),
      techniques: most(({ event }) => event.techniques),
    },
    none: before?.none ?? nothingCarried(ledger.legs),
    workedOut,
    generation: before ? before.generation + 1 : 0,
  }
}

/** A cluster, and what it belongs to. */
interface ClusterOf extends Pick<Demand, 'ledger' | 'streams' | 'ofStock'> {
  readonly cluster: Omit<StockCluster, 'number'>
}

/** Whether two clusters of the same stocks come to the same by the same draws. */
function comesToTheSame(a: ClusterOf, b: ClusterOf): boolean {
  const keptStreams = ({ streams, cluster: { kept, streams: drawing } }: ClusterOf) =>
    [...kept].map((place) => nth(streams, nth(drawing, place)))
  return (
    areSame([...a.cluster.kept], [...b.cluster.kept]) &&
    areSame(keptStreams(a), keptStreams(b)) &&
    a.cluster.stocks.every(
      (stock) =>
        areSame(nth(a.ledger.refillChance, stock), nth(b.ledger.refillChance, stock)) &&
        areSame(nth(a.ofStock, stock).draws, nth(b.ofStock, stock).draws),
    )
  )
}

const areSameClusters = (before: readonly StockCluster[], stocksTogether: readonly (readonly number[])[]) =>
  before.length === stocksTogether.length &&
  before.every(({ stocks }, cluster) => areSame(stocks, nth(stocksTogether, cluster)))

/** For each of so many, the places of the entries that name it. */
function numbersBy<T>(entries: readonly T[], named: (entry: T) => readonly number[], count: number): number[][] {
  const numbers = Array.from({ length: count }, (): number[] => [])
  entries.forEach((entry, number) => {
    for (const name of named(entry)) nth(numbers, name).push(number)
  })
  return numbers
}

/** The amounts that tries of some streams draw of a stock. */
function drawsOf(streams: readonly DemandStream[], stock: number): number[] {
  const uses = streams.flatMap(({ event }) => event.fixes.flatMap((fix) => fix.uses))
  return [...new Set(uses.filter((use) => use.stock === stock).map(({ amount }) => amount))]
}

/** How many amounts there are of each stock with everything carried. */
function mostAmountsOf({ items }: IndexedLedger, ofStock: readonly StockDemand[]): number[] {
  return ofStock.map(({ draws, suppliers }) => {
    const full = suppliers.reduce((sum, { item, amount }) => sum + nth(items, item).max * amount, 0)
    return amountsOf(full, draws).length
  })
}

/** Of some streams, those whose part wears out most often on a trip. */
function mostWorn(streams: readonly DemandStream[], drawing: readonly number[]): ReadonlySet<number> {
  const worn = drawing
    .map((number, place) => ({ place, stream: nth(streams, number) }))
    .filter(({ stream }) => stream.wear && stream.expectedInAll >= leastWorn)
    .sort((a, b) => b.stream.expectedInAll - a.stream.expectedInAll)
  return new Set(worn.slice(0, mostKept).map(({ place }) => place))
}
