import type { IndexedEvent, IndexedFix } from '../ledger'
import { nth, numberAt } from '../validation'

/** What is on foot: only a kit that is an answer is asked for it. */
interface SumsOnFoot {
  /** Of each leg of the ledger, its share of the hours on foot, and of the failures that may strand. */
  readonly byWalk: Float64Array
  readonly byStrandings: Float64Array
  /** Hours on foot, each with as many failures as it is met by: of what a fix leaves, of nothing mended. */
  readonly residualWalkH: Float64Array
  readonly walkH: number
  readonly strandings: number
}

/** What the failures of a stream come to on some legs together. */
export class LegSums {
  /** Of each leg of the ledger, its share of the failures. */
  readonly byFailures: Float64Array
  /** The same of the hours that they may cost. */
  readonly byHours: Float64Array
  /** Hours, each with as many failures as it is met by: of the tries of a fix, of what a fix leaves, of nothing mended. */
  readonly workH: Float64Array
  readonly residualH: Float64Array
  readonly lossH: number
  private sumsOnFoot: SumsOnFoot | undefined

  /** @param expected failures on each leg, in the mean */
  constructor(
    private readonly event: IndexedEvent,
    private readonly expected: Float64Array,
    readonly legs: readonly number[],
  ) {
    this.lossH = this.inAll(event.lossH)
    const byFailures = this.sharesOf()
    this.byHours = this.lossH === 0 ? byFailures : this.sharesOf(event.lossH)
    // For a search that is near enough, one set of weights is.
    this.byFailures = event.orderedAsOn === undefined ? byFailures : this.byHours
    this.workH = this.ofFixes(({ workH }) => workH)
    this.residualH = this.ofFixes(({ residualH }) => residualH)
  }

  get onFoot(): SumsOnFoot {
    this.sumsOnFoot ??= {
      byWalk: this.sharesOf(this.event.walkH),
      byStrandings: this.sharesOf(this.event.strands),
      residualWalkH: this.ofFixes(({ residualWalkH }) => residualWalkH),
      walkH: this.inAll(this.event.walkH),
      strandings: this.inAll(this.event.strands),
    }
    return this.sumsOnFoot
  }

  private inAll(perLeg: Float64Array): number {
    let sum = 0
    for (const leg of this.legs) sum += numberAt(this.expected, leg) * numberAt(perLeg, leg)
    return sum
  }

  private ofFixes(perLeg: (fix: IndexedFix) => Float64Array): Float64Array {
    const { fixes } = this.event
    const sums = new Float64Array(fixes.length)
    for (let f = 0; f < fixes.length; f++) sums[f] = this.inAll(perLeg(nth(fixes, f)))
    return sums
  }

  /** Of each leg its share of the failures, or of a sum over them; of a sum that is nothing, as of the failures. */
  private sharesOf(perLeg?: Float64Array): Float64Array {
    const shares = new Float64Array(this.expected.length)
    let all = 0
    for (const leg of this.legs) {
      const share = numberAt(this.expected, leg) * (perLeg ? numberAt(perLeg, leg) : 1)
      shares[leg] = share
      all += share
    }
    if (all === 0) return this.sharesOf()
    for (const leg of this.legs) shares[leg] = numberAt(shares, leg) / all
    return shares
  }
}
