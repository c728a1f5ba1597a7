import type { IndexedLedger, LedgerWear } from '../ledger'
import { nth, numberAt } from '../validation'
import { keyUnder, Stream } from './keyed-random'
import { gammaDraw, poissonDraw } from './laws'

/** Streams of a trip. */
const [suddenStream, wearStream, orderStream] = [1, 2, 3]

/** Draws what fails on a trip, leg by leg, whatever is carried. */
export class FailureDraws {
  /** For each leg, the failures expected of a sudden up to and with each event. */
  private readonly upTo: Float64Array[]
  private readonly wearing: { event: number; wear: LedgerWear }[]
  private readonly total: Float64Array
  private readonly limit: Float64Array
  private sudden = new Stream(0)
  private wear = new Stream(0)
  private order = new Stream(0)

  constructor({ events, legs }: IndexedLedger) {
    this.upTo = Array.from({ length: legs }, (_, leg) => {
      let sum = 0
      return Float64Array.from(events, ({ perLeg }) => (sum += numberAt(perLeg, leg)))
    })
    this.wearing = events.flatMap(({ wear }, event) => (wear ? [{ event, wear }] : []))
    this.total = new Float64Array(this.wearing.length)
    this.limit = new Float64Array(this.wearing.length)
  }

  begin(tripKey: number): void {
    this.sudden = new Stream(keyUnder(tripKey, suddenStream))
    this.wear = new Stream(keyUnder(tripKey, wearStream))
    this.order = new Stream(keyUnder(tripKey, orderStream))
    this.wearing.forEach(({ wear }, w) => {
      this.total[w] = 0
      this.limit[w] = wear.left
    })
  }

  /** The events that fail on a leg, in the order in which they come; to be asked for one leg after another. */
  on(leg: number): number[] {
    const upTo = nth(this.upTo, leg)
    const mean = upTo[upTo.length - 1] ?? 0
    const failures = Array.from({ length: mean > 0 ? poissonDraw(mean, this.sudden) : 0 }, () =>
      firstAbove(upTo, this.sudden.next() * mean),
    )
    // Those of a sudden come in a random order as they are drawn; what wears comes in between.
    if (this.wearOut(leg, failures)) this.shuffle(failures)
    return failures
  }

  /** Adds what wears out on a leg; whether anything did. */
  private wearOut(leg: number, failures: number[]): boolean {
    const before = failures.length
    this.wearing.forEach(({ event, wear }, w) => {
      if (wear.freshAtLegs.includes(leg)) {
        this.total[w] = 0
        this.limit[w] = 1
      }
      const lives = nth(wear.lives, leg)
      if (lives === 0) return
      const { spread } = wear
      const worn = spread === 0 ? lives : gammaDraw(lives / spread ** 2, this.wear) * spread ** 2
      this.total[w] = numberAt(this.total, w) + worn
      while (numberAt(this.total, w) > numberAt(this.limit, w) + 1e-9) {
        failures.push(event)
        this.limit[w] = numberAt(this.limit, w) + 1
      }
    })
    return failures.length > before
  }

  /** Source: R. Durstenfeld, "Algorithm 235: Random permutation", CACM 7 (1964). */
  private shuffle(failures: number[]): void {
    for (let last = failures.length - 1; last > 0; last--) {
      const other = Math.floor(this.order.next() * (last + 1))
      const moved = nth(failures, last)
      failures[last] = nth(failures, other)
      failures[other] = moved
    }
  }
}

/** The first place of a row that rises whose number lies above a value; its last where none does. */
function firstAbove(row: Float64Array, value: number): number {
  let [from, to] = [0, row.length - 1]
  while (from < to) {
    const middle = (from + to) >> 1
    if (numberAt(row, middle) > value) to = middle
    else from = middle + 1
  }
  return from
}
