import type { LedgerWear } from '../ledger'
import { gammaP } from '../maths'
import { nth } from '../validation'

/** Parts into which a life is divided where what is worn since the last new part is averaged over. */
const partsOfLife = 32
/** Less likely counts are left out. */
const leastChance = 1e-8

/**
 * How often a part wears out on each leg, given how often it has since the last new one was fitted.
 *
 * Wear is a Gamma process; of what came before only the count is kept, so that over several legs this is near the true law
 * and not quite it. The means are true.
 */
export class WearLaw {
  /** For each leg and each count at its start, the chances of none, one, two more on it. */
  private readonly more: (readonly (readonly number[])[])[] = []
  /** Failures expected on each leg. */
  readonly expected: Float64Array

  constructor(
    private readonly wear: LedgerWear,
    legs: number,
  ) {
    let counts: number[] = [1]
    let [lives, left] = [0, wear.left]
    this.expected = Float64Array.from({ length: legs }, (_, leg) => {
      if (this.isFresh(leg)) [counts, lives, left] = [[1], 0, 1]
      const worn = nth(wear.lives, leg)
      const more = counts.map((_chance, count) => this.moreAfter(count, lives, worn, left))
      this.more.push(more)
      const next: number[] = []
      let expected = 0
      counts.forEach((chance, count) => {
        nth(more, count).forEach((share, by) => {
          expected += chance * share * by
          next[count + by] = (next[count + by] ?? 0) + chance * share
        })
      })
      counts = Array.from(next, (chance) => (chance as number | undefined) ?? 0)
      lives += worn
      return expected
    })
  }

  /** Whether a new one is fitted at the start of a leg, so that counts begin anew. */
  isFresh(leg: number): boolean {
    return this.wear.freshAtLegs.includes(leg)
  }

  /** The chances of none, one, two more on a leg, after so many since the last new one. */
  moreOn(leg: number, count: number): readonly number[] {
    const after = nth(this.more, leg)
    return after[count] ?? [1]
  }

  private moreAfter(count: number, lives: number, worn: number, left: number): number[] {
    const limit = (number: number) => (number < 0 ? 0 : left + number)
    if (this.wear.spread === 0) {
      const passed = (total: number) => Math.max(0, Math.ceil(total - left - 1e-9))
      const by = passed(lives + worn) - passed(lives)
      return count === passed(lives) ? [...new Array<number>(by).fill(0), 1] : [1]
    }
    const scale = this.wear.spread ** 2
    const atMost = (mean: number, value: number) => {
      if (value <= 0) return 0
      return mean === 0 ? 1 : gammaP(mean / scale, value / scale)
    }
    // Where in its life the part is: so many parts of it, with the chance of each.
    const [from, to] = [limit(count - 1), limit(count)]
    const places =
      lives === 0
        ? [{ at: 0, chance: count === 0 ? 1 : 0 }]
        : Array.from({ length: partsOfLife }, (_, i) => {
            const [low, high] = [i, i + 1].map((edge) => from + ((to - from) * edge) / partsOfLife) as [number, number]
            return { at: (low + high) / 2, chance: atMost(lives, high) - atMost(lives, low) }
          })
    const here = places.reduce((sum, { chance }) => sum + chance, 0)
    if (here < leastChance) return [1]
    const chances: number[] = []
    let before = 1
    for (let by = 0; before > leastChance; by++) {
      const wanted = limit(count + by)
      const beyond = places.reduce((sum, { at, chance }) => sum + chance * (1 - atMost(worn, wanted - at)), 0) / here
      chances.push(before - beyond)
      before = beyond
    }
    return chances
  }
}
