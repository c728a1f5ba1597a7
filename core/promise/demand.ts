import type { IndexedLedger } from '../ledger'
import { nth } from '../validation'
import { demandStreams, type DemandStream } from './demand-stream'
import { nothingCarried, type NumberedLaw } from './stock-law'
import { WorkedOut } from './worked-out'

/** What wears less often than this on a trip draws as if it came of a sudden. */
const leastWorn = 0.05
/** For one stock, how often each of so many things has worn out is kept in mind; of others it is their mean. */
const mostKept = 2

/** What is asked of one stock. */
export interface StockDemand {
  /** The streams that draw on it, by their numbers. */
  readonly streams: readonly number[]
  /** The places among them of those of which it is kept in mind how often their part has worn out. */
  readonly kept: ReadonlySet<number>
  /** The amounts that tries draw. */
  readonly draws: readonly number[]
  /** The items that hold some of it. */
  readonly suppliers: readonly { readonly item: number; readonly amount: number }[]
}

/** All that a ledger asks of whatever is carried. */
export interface Demand {
  readonly ledger: IndexedLedger
  readonly streams: readonly DemandStream[]
  readonly ofStock: readonly StockDemand[]
  /** For each function, the streams that need it. */
  readonly streamsOfFunction: readonly (readonly number[])[]
  readonly limits: { readonly stocks: number; readonly fixes: number; readonly techniques: number }
  /** The law of a stock of which nothing is carried. */
  readonly none: NumberedLaw
  readonly workedOut: WorkedOut
}

export function demandOf(ledger: IndexedLedger): Demand {
  const streams = demandStreams(ledger)
  const numbersOf = (asks: (stream: DemandStream) => boolean) =>
    streams.flatMap((stream, number) => (asks(stream) ? [number] : []))
  const most = (count: (stream: DemandStream) => number) => Math.max(0, ...streams.map(count))
  return {
    ledger,
    streams,
    ofStock: ledger.stocks.map((_, stock) => {
      const drawing = numbersOf(({ stocks }) => stocks.includes(stock))
      const amounts = drawing.flatMap((number) =>
        nth(streams, number).event.fixes.flatMap(({ uses }) =>
          uses.filter((use) => use.stock === stock).map(({ amount }) => amount),
        ),
      )
      return {
        streams: drawing,
        kept: mostWorn(streams, drawing),
        draws: [...new Set(amounts)],
        suppliers: ledger.items.flatMap(({ units }, item) =>
          units.filter((unit) => unit.stock === stock).map(({ amount }) => ({ item, amount })),
        ),
      }
    }),
    streamsOfFunction: ledger.functions.map((_, name) => numbersOf(({ functions }) => functions.includes(name))),
    limits: {
      stocks: ledger.stocks.length,
      fixes: most(({ event }) => event.fixes.length),
      techniques: most(({ event }) => event.techniques),
    },
    none: nothingCarried(ledger.legs),
    workedOut: new WorkedOut(),
  }
}

/** Of some streams, those whose part wears out most often on a trip. */
function mostWorn(streams: readonly DemandStream[], drawing: readonly number[]): ReadonlySet<number> {
  const worn = drawing
    .map((number, place) => ({ place, stream: nth(streams, number) }))
    .filter(({ stream }) => stream.wear && stream.expectedInAll >= leastWorn)
    .sort((a, b) => b.stream.expectedInAll - a.stream.expectedInAll)
  return new Set(worn.slice(0, mostKept).map(({ place }) => place))
}
