import type { IndexedLedger } from '../ledger'
import { nth, numberAt } from '../validation'
import { keysOf, keyUnder, Stream, uniformUnder } from './keyed-random'
import { poissonDraw } from './laws'
import { WearDraws } from './wear'

/** Keys of a trip under which failures are drawn: those of a sudden, and of wear. */
const [suddenKey, wearKey] = [1, 2]
/** Under an event's key a failure of it has a key of its own from here on. */
const failureNumber = 1_000_000

/** Something that fails on a leg. */
export interface DrawnFailure {
  readonly event: number
  /** When, as a share of the leg. */
  readonly at: number
  /** Whatever else is drawn of it hangs on this. */
  readonly key: number
}

/** What fails of a sudden, and how often: in all, and up to and with each leg. */
interface Sudden {
  readonly event: number
  readonly mean: number
  readonly upTo: Float64Array
  /** The chance that it does not fail on a trip. */
  readonly never: number
}

/**
 * Draws what fails on a trip, whatever is carried. What is drawn of an event hangs on its id alone, and the more often it is
 * expected the more often it comes: two plans that share most of what may fail meet nearly the same trip.
 */
export class FailureDraws {
  private readonly sudden: readonly Sudden[]
  private readonly wearing: readonly WearDraws[]
  private readonly keys: readonly number[]
  /** For each leg, what fails on it. */
  private readonly failures: DrawnFailure[][]

  constructor({ events, legs }: IndexedLedger) {
    this.keys = keysOf(events.map(({ id }) => id))
    this.sudden = events.flatMap(({ perLeg }, event) => {
      let mean = 0
      const upTo = perLeg.map((expected) => (mean += expected))
      return mean > 0 ? [{ event, mean, upTo, never: Math.exp(-mean) }] : []
    })
    this.wearing = events.flatMap(({ wear }, event) => (wear ? [new WearDraws(event, wear)] : []))
    this.failures = Array.from({ length: legs }, () => [])
  }

  /** Goes over to another trip. */
  begin(tripKey: number): void {
    for (const onLeg of this.failures) onLeg.length = 0
    const sudden = keyUnder(tripKey, suddenKey)
    for (const each of this.sudden) this.drawSudden(each, keyUnder(sudden, nth(this.keys, each.event)))
    const worn = keyUnder(tripKey, wearKey)
    for (const wearing of this.wearing) {
      const key = keyUnder(worn, nth(this.keys, wearing.event))
      let count = 0
      wearing.draw(new Stream(key), (leg) => this.add(leg, wearing.event, keyUnder(key, failureNumber + count++)))
    }
    for (const onLeg of this.failures) if (onLeg.length > 1) onLeg.sort((a, b) => a.at - b.at)
  }

  /** What fails on a leg, in the order in which it comes; good until the next trip. */
  on(leg: number): readonly DrawnFailure[] {
    return nth(this.failures, leg)
  }

  /** As often as it comes on the trip, each time on one leg or another by what is expected there: Poisson's law, split. */
  private drawSudden({ event, mean, upTo, never }: Sudden, key: number): void {
    // Most do not fail on a trip, and the first number of their stream says so.
    if (uniformUnder(key, 0) < never) return
    const stream = new Stream(key)
    const count = poissonDraw(mean, stream)
    for (let n = 0; n < count; n++)
      this.add(firstAbove(upTo, stream.next() * mean), event, keyUnder(key, failureNumber + n))
  }

  private add(leg: number, event: number, key: number): void {
    nth(this.failures, leg).push({ event, at: uniformUnder(key, 0), key })
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
