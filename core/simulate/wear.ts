import type { LedgerWear } from '../ledger'
import { wornOutAtLeast } from '../maths'
import { nth } from '../validation'
import type { Stream } from './keyed-random'
import { gammaDraw, gammaDrawAbove } from './laws'

/** A new part, or the one at departure, until the next new one is fitted. */
interface Stretch {
  readonly legs: readonly number[]
  /** What it wears on each of them, in lives, in the mean. */
  readonly lives: readonly number[]
  readonly inAll: number
  /** Lives that it has left. */
  readonly left: number
  /** The chance that it lasts. */
  readonly lasts: number
}

/** Lives that lack no more than this count as passed. */
const rounding = 1e-9

/**
 * Draws when a part wears out.
 *
 * Whether it lasts a stretch at all is drawn first; what it wears on each leg only where it does not. That is exact: of a
 * Gamma process the shares of the legs do not hang on their sum (E. Lukacs, "A characterization of the gamma distribution",
 * Annals of Mathematical Statistics 26, 1955).
 */
export class WearDraws {
  private readonly stretches: readonly Stretch[]
  private readonly spread: number

  constructor(
    readonly event: number,
    { lives, left, spread, freshAtLegs }: LedgerWear,
  ) {
    this.spread = spread
    const starts = [...new Set([0, ...freshAtLegs])].filter((leg) => leg < lives.length).sort((a, b) => a - b)
    this.stretches = starts.map((start, i) => {
      const length = (starts[i + 1] ?? lives.length) - start
      const legs = Array.from({ length }, (_, leg) => start + leg).filter((leg) => nth(lives, leg) > 0)
      const livesOnLegs = legs.map((leg) => nth(lives, leg))
      const inAll = livesOnLegs.reduce((sum, each) => sum + each, 0)
      const limit = freshAtLegs.includes(start) ? 1 : left
      return { legs, lives: livesOnLegs, inAll, left: limit, lasts: this.chanceToLast(inAll, limit) }
    })
  }

  /** @param fails is told of each leg on which it fails, once for each time */
  draw(stream: Stream, fails: (leg: number) => void): void {
    for (const stretch of this.stretches) {
      if (stretch.lasts < 1 && stream.next() >= stretch.lasts) this.drawLegs(stretch, stream, fails)
    }
  }

  private drawLegs({ legs, lives, inAll, left }: Stretch, stream: Stream, fails: (leg: number) => void): void {
    let worn: readonly number[] = lives
    const scale = this.spread ** 2
    if (scale > 0) {
      const sum = gammaDrawAbove(inAll / scale, (left + rounding) / scale, stream) * scale
      const shares = lives.map((each) => gammaDraw(each / scale, stream))
      const all = shares.reduce((total, share) => total + share, 0)
      worn = shares.map((share) => (share / all) * sum)
    }
    let [total, limit] = [0, left]
    legs.forEach((leg, i) => {
      total += nth(worn, i)
      for (; total > limit + rounding; limit++) fails(leg)
    })
  }

  private chanceToLast(lives: number, left: number): number {
    if (this.spread === 0) return lives > left + rounding ? 0 : 1
    return 1 - wornOutAtLeast(1, lives, left, this.spread)
  }
}
