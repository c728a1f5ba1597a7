import type { IndexedLedger } from '../ledger'
import { nth, numberAt } from '../validation'
import { keyUnder, Stream } from './keyed-random'
import { poissonDraw } from './laws'
import { WearDraws } from './wear'

/** Streams of a trip. */
const [suddenStream, wearStream, orderStream] = [1, 2, 3]

/** Draws what fails on a trip, whatever is carried. */
export class FailureDraws {
  /** Failures expected of a sudden, leg by leg and event by event, up to and with each. */
  private readonly upTo: Float64Array
  private readonly eventCount: number
  private readonly wearing: readonly WearDraws[]
  /** For each leg, the events that fail on it. */
  private readonly failures: number[][]
  /** The legs on which something wears out. */
  private readonly wornOn = new Set<number>()

  constructor({ events, legs }: IndexedLedger) {
    let sum = 0
    this.upTo = Float64Array.from({ length: legs * events.length }, (_, place) => {
      const leg = Math.floor(place / events.length)
      return (sum += numberAt(nth(events, place % events.length).perLeg, leg))
    })
    this.eventCount = events.length
    this.wearing = events.flatMap(({ wear }, event) => (wear ? [new WearDraws(event, wear)] : []))
    this.failures = Array.from({ length: legs }, () => [])
  }

  /** Goes over to another trip. */
  begin(tripKey: number): void {
    for (const onLeg of this.failures) onLeg.length = 0
    this.wornOn.clear()
    this.drawSudden(new Stream(keyUnder(tripKey, suddenStream)))
    const wear = new Stream(keyUnder(tripKey, wearStream))
    for (const wearing of this.wearing) {
      wearing.draw(wear, (leg) => {
        nth(this.failures, leg).push(wearing.event)
        this.wornOn.add(leg)
      })
    }
    // Those of a sudden come in a random order as they are drawn; what wears comes in between.
    if (this.wornOn.size === 0) return
    const order = new Stream(keyUnder(tripKey, orderStream))
    for (const leg of this.wornOn) shuffle(nth(this.failures, leg), order)
  }

  /** The events that fail on a leg, in the order in which they come; good until the next trip. */
  on(leg: number): readonly number[] {
    return nth(this.failures, leg)
  }

  /** As many as there are on the trip, each on one leg or another by what is expected there: Poisson's law, split. */
  private drawSudden(stream: Stream): void {
    const { upTo, eventCount } = this
    const mean = upTo[upTo.length - 1] ?? 0
    if (mean === 0) return
    for (let count = poissonDraw(mean, stream); count > 0; count--) {
      const place = firstAbove(upTo, stream.next() * mean)
      nth(this.failures, Math.floor(place / eventCount)).push(place % eventCount)
    }
  }
}

/** Source: R. Durstenfeld, "Algorithm 235: Random permutation", CACM 7 (1964). */
function shuffle(failures: number[], order: Stream): void {
  for (let last = failures.length - 1; last > 0; last--) {
    const other = Math.floor(order.next() * (last + 1))
    const moved = nth(failures, last)
    failures[last] = nth(failures, other)
    failures[other] = moved
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
