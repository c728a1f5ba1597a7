import type { LedgerWear } from '../ledger'
import { gammaP, wornOutAtLeast } from '../maths'
import { nth } from '../validation'

/** Parts into which a life is divided where what is worn since the last new part is averaged over. */
const partsOfLife = 32
/** Less likely counts are left out. */
const leastChance = 1e-8

/** A part at the start of a leg: the lives used up since the last new one was fitted, and what that one had left. */
interface Standing {
  readonly lives: number
  readonly left: number
}

/**
 * How often a part wears out on each leg, given how often it has since the last new one was fitted.
 *
 * Wear is a Gamma process; of what came before only the count is kept, so that over several legs this is near the true law
 * and not quite it. The means are true.
 */
export class WearLaw {
  /** Failures expected on each leg. */
  readonly expected: Float64Array
  private readonly standing: readonly Standing[]
  /** For each leg and each count at its start, the chances of none, one, two more on it, once they were asked for. */
  private readonly more: (readonly number[])[][]

  constructor(
    private readonly wear: LedgerWear,
    legs: number,
  ) {
    let now: Standing = { lives: 0, left: wear.left }
    this.standing = Array.from({ length: legs }, (_, leg) => {
      if (this.isFresh(leg)) now = { lives: 0, left: 1 }
      const before = now
      now = { ...before, lives: before.lives + nth(wear.lives, leg) }
      return before
    })
    this.more = this.standing.map(() => [])
    this.expected = Float64Array.from(this.standing, ({ lives, left }, leg) => {
      const worn = nth(wear.lives, leg)
      return this.meanCount(lives + worn, left) - this.meanCount(lives, left)
    })
  }

  /** Whether a new one is fitted at the start of a leg, so that counts begin anew. */
  isFresh(leg: number): boolean {
    return this.wear.freshAtLegs.includes(leg)
  }

  /** The chances of none, one, two more on a leg, after so many since the last new one. */
  moreOn(leg: number, count: number): readonly number[] {
    const known = nth(this.more, leg)
    return (known[count] ??= this.moreAfter(count, nth(this.standing, leg), nth(this.wear.lives, leg)))
  }

  /** How often it has worn out in the mean, once it is worn by so many lives. */
  private meanCount(lives: number, left: number): number {
    if (this.wear.spread === 0) return passed(lives, left)
    let sum = 0
    for (let count = 1; ; count++) {
      const chance = wornOutAtLeast(count, lives, left, this.wear.spread)
      sum += chance
      if (chance < leastChance) return sum
    }
  }

  /** The chance that wear of so many lives in the mean comes to no more than a value. */
  private atMost(mean: number, value: number): number {
    if (mean === 0) return value >= 0 ? 1 : 0
    const scale = this.wear.spread ** 2
    return value <= 0 ? 0 : gammaP(mean / scale, value / scale)
  }

  private moreAfter(count: number, { lives, left }: Standing, worn: number): number[] {
    if (this.wear.spread === 0) {
      const by = passed(lives + worn, left) - passed(lives, left)
      return count === passed(lives, left) ? [...new Array<number>(by).fill(0), 1] : [1]
    }
    const limit = (number: number) => (number < 0 ? 0 : left + number)
    // Where in its life the part is: so many parts of it, with the chance of each.
    const [from, to] = [limit(count - 1), limit(count)]
    const places = lives === 0 ? [{ at: 0, chance: count === 0 ? 1 : 0 }] : this.placesBetween(from, to, lives)
    const here = places.reduce((sum, { chance }) => sum + chance, 0)
    if (here < leastChance) return [1]
    const chances: number[] = []
    let before = 1
    for (let by = 0; before > leastChance; by++) {
      const wanted = limit(count + by)
      const beyond =
        places.reduce((sum, { at, chance }) => sum + chance * (1 - this.atMost(worn, wanted - at)), 0) / here
      chances.push(before - beyond)
      before = beyond
    }
    return chances
  }

  /** Where between two values the wear of so many lives in the mean may be: in the middle of each part, with its chance. */
  private placesBetween(from: number, to: number, lives: number): { at: number; chance: number }[] {
    const edges = Array.from({ length: partsOfLife + 1 }, (_, edge) => from + ((to - from) * edge) / partsOfLife)
    const below = edges.map((edge) => this.atMost(lives, edge))
    return Array.from({ length: partsOfLife }, (_, i) => {
      return { at: (nth(edges, i) + nth(edges, i + 1)) / 2, chance: nth(below, i + 1) - nth(below, i) }
    })
  }
}

/** How often a part has worn out that wears evenly, once it is worn by so many lives. */
function passed(lives: number, left: number): number {
  return Math.max(0, Math.ceil(lives - left - 1e-9))
}
