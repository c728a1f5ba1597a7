import { roundingAmount } from '../ledger'
import { nth, numberAt } from '../validation'
import type { AtLeast, Drawn } from './walk-through'
import type { WearLaw } from './wear-law'

/** Failures of a leg beyond these are less likely than this. */
const leastTail = 1e-9
/** Ways of wear less likely than this are left out. */
const leastChance = 1e-6
/** More amounts are not told apart. */
const mostAmounts = 200

/** Failures of one kind that draw on a stock: for each amount left, what one of them draws. */
export interface Drawing {
  readonly drawn: readonly Drawn[]
  /** Failures expected of a sudden. */
  readonly expected: number
  readonly wear: WearLaw | undefined
}

/** What failures on a leg find of a stock. */
export interface Found {
  /** As a failure of a sudden finds it, at any time of the leg. */
  readonly sudden: AtLeast
  /** As each of the wearing drawings finds it. */
  readonly worn: readonly (AtLeast | undefined)[]
}

/** What is left of the stock, for each way in which what wears has failed so far. */
type Law = Map<string, { readonly counts: readonly number[]; chances: Float64Array }>

/** A move of what is left of a stock, from one of its amounts to another. */
interface Move {
  readonly from: number
  readonly to: number
  readonly chance: number
}

/** What is left of one stock through a trip. */
export class StockLaw {
  /** What it can come down to, from the least to what was carried. */
  readonly amounts: readonly number[]
  private law: Law = new Map()

  /** @param draws the amounts that tries draw, each alone */
  constructor(full: number, draws: readonly number[]) {
    const found = [full]
    for (let i = 0; i < found.length && found.length < mostAmounts; i++) {
      for (const draw of draws) {
        const left = nth(found, i) - draw
        const isNew = left >= -roundingAmount && !found.some((amount) => Math.abs(amount - left) < 1e-6)
        if (isNew) found.push(Math.max(0, left))
      }
    }
    this.amounts = found.sort((a, b) => a - b)
  }

  /** @param wearing how many of the drawings wear */
  depart(wearing: number): void {
    this.law = new Map()
    add(this.law, new Array<number>(wearing).fill(0), this.whole())
  }

  /** At the start of a leg: filled up again with some chance, and what is fitted new counts from nothing. */
  arrive(refill: number, isFresh: readonly boolean[]): void {
    const law: Law = new Map()
    for (const { counts, chances } of this.law.values()) {
      const last = chances.length - 1
      const all = refill * chances.reduce((sum, chance) => sum + chance, 0)
      const filled = chances.map((chance) => chance * (1 - refill))
      filled[last] = numberAt(filled, last) + all
      add(
        law,
        counts.map((count, w) => (isFresh[w] ? 0 : count)),
        filled,
      )
    }
    this.law = law
  }

  /** A leg on which failures draw: what they find; what is left at its end is kept. */
  ride(leg: number, drawings: readonly Drawing[]): Found {
    const wearing = drawings.flatMap(({ wear, drawn }) =>
      wear ? [{ wear, moves: this.movesOf([{ drawn, share: 1 }]) }] : [],
    )
    const total = drawings.reduce((sum, { expected }) => sum + expected, 0)
    const sudden = this.movesOf(
      drawings
        .filter(({ expected }) => expected > 0)
        .map(({ drawn, expected }) => ({ drawn, share: expected / total })),
    )
    const found = { sudden: this.nothing(), worn: wearing.map(() => this.nothing()) }
    const end: Law = new Map()
    for (const { counts, chances } of this.law.values()) {
      for (const { more, chance } of waysOf(wearing.map(({ wear }, w) => wear.moreOn(leg, nth(counts, w))))) {
        const begun = chances.map((value) => value * chance)
        const ended = this.inTurn(
          begun,
          total,
          sudden,
          more,
          wearing.map(({ moves }) => moves),
          found,
        )
        add(
          end,
          counts.map((count, w) => count + nth(more, w)),
          ended,
        )
      }
    }
    this.law = end
    let next = 0
    return {
      sudden: this.atLeast(found.sudden),
      worn: drawings.map(({ wear }) => (wear ? this.atLeast(nth(found.worn, next++)) : undefined)),
    }
  }

  /**
   * The failures of a leg in a random order: Poisson of a sudden, and of each that wears so many.
   *
   * @returns what is left at the end; what the failures find is added to `found`
   */
  private inTurn(
    begun: Float64Array,
    total: number,
    sudden: readonly Move[],
    more: readonly number[],
    worn: readonly (readonly Move[])[],
    found: { sudden: Float64Array; worn: readonly Float64Array[] },
  ): Float64Array {
    const wornOut = more.reduce((sum, count) => sum + count, 0)
    const poisson = poissonChances(total, begun)
    if (wornOut === 0) return this.suddenOnly(begun, total, sudden, poisson, found.sudden)
    const most = poisson.length - 1
    let coming: Coming = new Map()
    for (let left = most + wornOut; left > 0; left--) {
      const count = left - wornOut
      if (count >= 0) put(coming, count, more, begun, nth(poisson, count))
      const next: Coming = new Map()
      for (const { count: ofSudden, rest, chances } of coming.values()) {
        if (ofSudden > 0) {
          accumulate(found.sudden, chances, ofSudden / left)
          put(next, ofSudden - 1, rest, moved(chances, sudden), ofSudden / left)
        }
        rest.forEach((times, w) => {
          if (times === 0) return
          accumulate(nth(found.worn, w), chances, times / left)
          const fewer = rest.map((other, i) => (i === w ? other - 1 : other))
          put(next, ofSudden, fewer, moved(chances, nth(worn, w)), times / left)
        })
      }
      coming = next
    }
    const ended = this.nothing()
    for (const { chances } of coming.values()) accumulate(ended, chances, 1)
    return ended
  }

  /**
   * The same where nothing wears out: after so many failures, so much is left; one more finds that with the chance that
   * there is one more.
   */
  private suddenOnly(
    begun: Float64Array,
    total: number,
    sudden: readonly Move[],
    poisson: readonly number[],
    found: Float64Array,
  ): Float64Array {
    const ended = this.nothing()
    let after = begun
    let more = 1
    poisson.forEach((chance, count) => {
      if (count > 0) after = moved(after, sudden)
      accumulate(ended, after, chance)
      more -= chance
      if (total > 0) accumulate(found, after, Math.max(0, more))
    })
    return ended
  }

  /** The moves of drawings, each with its share of the failures; those from and to the same amounts are one. */
  private movesOf(drawings: readonly { readonly drawn: readonly Drawn[]; readonly share: number }[]): Move[] {
    const size = this.amounts.length
    const chances = new Float64Array(size * size)
    for (const { drawn, share } of drawings) {
      drawn.forEach((law, from) => {
        for (const [amount, chance] of law) {
          const at = from * size + this.indexOf(nth(this.amounts, from) - amount)
          chances[at] = numberAt(chances, at) + share * chance
        }
      })
    }
    return Array.from(chances, (chance, at) => ({ from: Math.floor(at / size), to: at % size, chance })).filter(
      ({ chance }) => chance > 0,
    )
  }

  private indexOf(amount: number): number {
    let best = 0
    this.amounts.forEach((candidate, i) => {
      if (Math.abs(candidate - amount) < Math.abs(nth(this.amounts, best) - amount)) best = i
    })
    return best
  }

  private nothing(): Float64Array {
    return new Float64Array(this.amounts.length)
  }

  /** The chance of so much or more, as chances gathered with any weight say. */
  private atLeast(chances: Float64Array): AtLeast {
    const { amounts } = this
    // What nobody looks for is as it was carried.
    const upTo = chances.some((chance) => chance > 0) ? chances.slice() : this.whole()
    for (let i = upTo.length - 2; i >= 0; i--) upTo[i] = numberAt(upTo, i) + numberAt(upTo, i + 1)
    const all = numberAt(upTo, 0)
    return (amount) => {
      for (let i = 0; i < amounts.length; i++) {
        if (nth(amounts, i) >= amount - roundingAmount) return numberAt(upTo, i) / all
      }
      return 0
    }
  }

  private whole(): Float64Array {
    const chances = new Float64Array(this.amounts.length)
    chances[this.amounts.length - 1] = 1
    return chances
  }
}

/** States by how many failures are still to come. */
type Coming = Map<string, { readonly count: number; readonly rest: readonly number[]; readonly chances: Float64Array }>

function put(coming: Coming, count: number, rest: readonly number[], chances: Float64Array, share: number): void {
  const key = `${count} ${rest.join(' ')}`
  const entry = coming.get(key) ?? { count, rest, chances: new Float64Array(chances.length) }
  accumulate(entry.chances, chances, share)
  coming.set(key, entry)
}

function accumulate(sum: Float64Array, chances: Float64Array, share: number): void {
  for (let i = 0; i < sum.length; i++) sum[i] = numberAt(sum, i) + share * numberAt(chances, i)
}

function moved(chances: Float64Array, moves: readonly Move[]): Float64Array {
  const next = new Float64Array(chances.length)
  for (const { from, to, chance } of moves) next[to] = numberAt(next, to) + chance * numberAt(chances, from)
  return next
}

function add(law: Law, counts: readonly number[], chances: Float64Array): void {
  const key = counts.join(' ')
  const entry = law.get(key)
  if (entry) accumulate(entry.chances, chances, 1)
  else law.set(key, { counts, chances })
}

/** Every way in which parts that wear can fail together on a leg, with its chance. */
function waysOf(laws: readonly (readonly number[])[]): { more: readonly number[]; chance: number }[] {
  return laws.reduce<{ more: number[]; chance: number }[]>(
    (ways, law) =>
      ways.flatMap((way) =>
        law.flatMap((share, by) =>
          way.chance * share > leastChance ? [{ more: [...way.more, by], chance: way.chance * share }] : [],
        ),
      ),
    [{ more: [], chance: 1 }],
  )
}

/** The chances of none, one, two failures; of ways that are less likely themselves, fewer are told apart. */
function poissonChances(mean: number, begun: Float64Array): number[] {
  const tail =
    leastTail /
    Math.max(
      leastTail,
      begun.reduce((sum, chance) => sum + chance, 0),
    )
  const chances = [Math.exp(-mean)]
  let sum = nth(chances, 0)
  while (1 - sum > tail && chances.length < 2000) {
    const next = (nth(chances, chances.length - 1) * mean) / chances.length
    chances.push(next)
    sum += next
  }
  return chances
}
