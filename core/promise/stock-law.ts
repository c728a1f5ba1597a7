import { nth, numberAt } from '../validation'
import { AmountsLeft, MixedMoves, move, moved, type Moves } from './amounts-left'
import { noneAtHand } from './at-hand'
import type { DemandStream } from './demand-stream'
import type { StreamDraws } from './stream-draws'
import type { WearLaw } from './wear-law'

/** Failures of a leg beyond these are less likely than this. */
const leastTail = 1e-9
/** More of them are not told apart: a thousand on a leg, the most that there can be, stay within. */
const mostFailures = 1500
/** Ways of wear less likely than this are left out. */
const leastChance = 1e-4

/** What is at hand is told to this part of certainty, so that laws that hardly differ are one. */
const grains = 1e9

/** What stocks that are followed together come to on each leg, as failures find them: their chances, leg after leg. */
export interface StockLaw {
  readonly amounts: AmountsLeft
  /** As a failure of a sudden finds it, at any time of the leg. */
  readonly sudden: Float64Array
  /** As failures of wear find it, of the streams of which it is kept in mind how often they came. */
  readonly worn: ReadonlyMap<DemandStream, Float64Array>
}

/** A law with a number that tells it from all others of its demand. */
export interface NumberedLaw extends StockLaw {
  readonly number: number
}

/** Stocks of which nothing is carried. */
export function nothingCarried(legs: number): NumberedLaw {
  return { number: 0, amounts: noneAtHand.amounts, sudden: new Float64Array(legs).fill(1), worn: new Map() }
}

/** Stocks that never come to an end. */
export function plenty(stocks: readonly number[], legs: number): StockLaw {
  const amounts = new AmountsLeft(
    stocks,
    stocks.map(() => new Float64Array([Number.MAX_VALUE])),
  )
  return { amounts, sudden: new Float64Array(legs).fill(1), worn: new Map() }
}

/** What a law says, as a list: the same for laws of the same amounts that say the same. */
export function lawAsList({ sudden, worn }: StockLaw): number[] {
  const list: number[] = []
  for (const onLegs of [sudden, ...worn.values()]) for (const chance of onLegs) list.push(Math.round(chance * grains))
  return list
}

/**
 * Follows what is left of stocks, together, through a trip.
 *
 * @param amounts what they can come down to; all of them at departure
 * @param refillChance of each stock, on each leg
 * @param draws of every stream that draws on one of them
 * @param keptPlaces the places among them of those of which it is kept in mind how often their part has worn out; of others
 *   it wears out as if of a sudden
 */
export function followStocks(
  amounts: AmountsLeft,
  legs: number,
  refillChance: readonly Float64Array[],
  draws: readonly StreamDraws[],
  keptPlaces: ReadonlySet<number>,
): StockLaw {
  const kept: KeptStream[] = []
  const others: DrawingStream[] = []
  draws.forEach((each, place) => {
    const { stream } = each
    const onLeg = each.moves(amounts)
    if (keptPlaces.has(place) && stream.wear) kept.push({ stream, wear: stream.wear, onLeg })
    else others.push({ stream, onLeg })
  })
  const { size } = amounts
  const mixed = new MixedMoves(size)
  const poisson = new PoissonMoves(size)

  const sudden = new Float64Array(legs * size)
  const worn = kept.map(() => new Float64Array(legs * size))
  const found = { sudden: new Float64Array(size), worn: kept.map(() => new Float64Array(size)) }
  let law: Law = new Map()
  const whole = new Float64Array(size)
  whole[amounts.full] = 1
  add(law, new Array<number>(kept.length).fill(0), whole)
  // What wears out does so in the middle of the leg: half of what comes of a sudden has come before.
  const parts = kept.length > 0 ? 2 : 1
  for (let leg = 0; leg < legs; leg++) {
    if (leg > 0) law = refilled(law, amounts, refillChance, kept, leg)
    mixed.begin()
    for (const { stream, onLeg } of others) {
      const moves = onLeg[leg]
      if (moves) mixed.add(moves, numberAt(stream.expected, leg))
    }
    poisson.begin(mixed.total / parts, mixed.moves())
    for (const { chances } of law.values()) poisson.move(chances, found.sudden)
    if (kept.length > 0) {
      const after: Law = new Map()
      for (const { counts, chances } of law.values()) followWorn(kept, leg, counts, chances, found.worn, after)
      for (const { chances } of after.values()) poisson.move(chances, found.sudden)
      law = after
    }
    tell(found.sudden, sudden, leg, amounts.full)
    for (let w = 0; w < worn.length; w++) tell(nth(found.worn, w), nth(worn, w), leg, amounts.full)
  }
  return { amounts, sudden, worn: new Map(kept.map(({ stream }, w) => [stream, nth(worn, w)])) }
}

/** A stream with the moves that it makes on each leg; none where it has no failures. */
interface DrawingStream {
  readonly stream: DemandStream
  readonly onLeg: readonly (Moves | undefined)[]
}

/** One of which it is kept in mind how often its part has worn out. */
interface KeptStream extends DrawingStream {
  readonly wear: WearLaw
}

/** Every way in which parts wear out on a leg, from one way in which they have before. */
function followWorn(
  kept: readonly KeptStream[],
  leg: number,
  counts: readonly number[],
  before: Float64Array,
  found: readonly Float64Array[],
  after: Law,
): void {
  const likely = before.reduce((sum, chance) => sum + chance, 0)
  const laws = kept.map(({ wear }, w) => wear.moreOn(leg, nth(counts, w)))
  for (const { more, chance } of waysOf(laws, likely)) {
    let left: Float64Array = before.map((value) => value * chance)
    more.forEach((times, w) => {
      const moves = nth(kept, w).onLeg[leg]
      for (let i = 0; i < times; i++) {
        accumulate(nth(found, w), left, 1)
        if (moves) left = moved(left, moves)
      }
    })
    add(
      after,
      counts.map((count, w) => count + nth(more, w)),
      left,
    )
  }
}

/** What is left of the stocks, for each way in which what wears has failed so far. */
type Law = Map<number, { readonly counts: readonly number[]; readonly chances: Float64Array }>

/** At the start of a leg: each stock is filled up again with some chance, and what is fitted new counts from nothing. */
function refilled(
  law: Law,
  amounts: AmountsLeft,
  refillChance: readonly Float64Array[],
  kept: readonly KeptStream[],
  leg: number,
): Law {
  const refills = refillChance.map((chances) => numberAt(chances, leg))
  for (const { chances } of law.values()) {
    refills.forEach((refill, place) => {
      if (refill > 0) refillOne(chances, amounts, place, refill)
    })
  }
  if (!kept.some(({ wear }) => wear.isFresh(leg))) return law
  const next: Law = new Map()
  for (const { counts, chances } of law.values()) {
    add(
      next,
      counts.map((count, w) => (nth(kept, w).wear.isFresh(leg) ? 0 : count)),
      chances,
    )
  }
  return next
}

function refillOne(chances: Float64Array, amounts: AmountsLeft, place: number, refill: number): void {
  for (let state = 0; state < chances.length; state++) {
    const full = amounts.refilled(state, place)
    if (full === state) continue
    const moved = refill * numberAt(chances, state)
    chances[state] = numberAt(chances, state) - moved
    chances[full] = numberAt(chances, full) + moved
  }
}

/**
 * The failures of a part of a leg that come of a sudden, by Poisson's law: what was left before to what is left after. What
 * they find is added up: after so many, one more finds what is left then with the chance that there is one more.
 */
class PoissonMoves {
  private chances: readonly number[] = [1]
  private moves: Moves = []
  private left: Float64Array
  private next: Float64Array

  /** @param size how many states there are */
  constructor(size: number) {
    this.left = new Float64Array(size)
    this.next = new Float64Array(size)
  }

  /** Goes over to another part: so many failures in the mean, each of which makes these moves. */
  begin(mean: number, moves: Moves): void {
    this.chances = poissonChances(mean)
    this.moves = moves
  }

  /**
   * @param law of what is left, before and then after
   * @param found gathers what the failures find
   */
  move(law: Float64Array, found: Float64Array): void {
    if (this.chances.length === 1) return
    this.left.set(law)
    law.fill(0)
    let more = 1
    for (let count = 0; count < this.chances.length; count++) {
      if (count > 0) {
        move(this.left, this.moves, this.next)
        const moved = this.next
        this.next = this.left
        this.left = moved
      }
      const chance = nth(this.chances, count)
      accumulate(law, this.left, chance)
      more -= chance
      if (more > 0) accumulate(found, this.left, more)
    }
  }
}

function accumulate(sum: Float64Array, chances: Float64Array, share: number): void {
  for (let i = 0; i < sum.length; i++) sum[i] = numberAt(sum, i) + share * numberAt(chances, i)
}

/** A part never wears out so often. */
const mostWornOut = 2 ** 20

function add(law: Law, counts: readonly number[], chances: Float64Array): void {
  const key = counts.reduce((sum, count) => sum * mostWornOut + count, 0)
  const entry = law.get(key)
  if (entry) accumulate(entry.chances, chances, 1)
  else law.set(key, { counts, chances })
}

/**
 * Writes down what chances gathered with any weight say of a leg, and forgets them; what nobody looks for is as it was
 * carried.
 */
function tell(gathered: Float64Array, onLegs: Float64Array, leg: number, full: number): void {
  const start = leg * gathered.length
  let all = 0
  for (let state = 0; state < gathered.length; state++) all += numberAt(gathered, state)
  if (all === 0) {
    onLegs[start + full] = 1
    return
  }
  for (let state = 0; state < gathered.length; state++) {
    onLegs[start + state] = Math.round((numberAt(gathered, state) / all) * grains) / grains
  }
  gathered.fill(0)
}

/** Every way in which parts that wear can fail together on a leg, with its chance; `likely` is the chance of where they stand. */
function waysOf(laws: readonly (readonly number[])[], likely: number): { more: readonly number[]; chance: number }[] {
  return laws.reduce<{ more: number[]; chance: number }[]>(
    (ways, law) =>
      ways.flatMap((way) =>
        law.flatMap((share, by) =>
          likely * way.chance * share > leastChance ? [{ more: [...way.more, by], chance: way.chance * share }] : [],
        ),
      ),
    [{ more: [], chance: 1 }],
  )
}

/** The chances of none, one, two failures; those too unlikely to tell count as the last. */
function poissonChances(mean: number): number[] {
  const chances = [Math.exp(-mean)]
  let sum = nth(chances, 0)
  if (mean === 0) return chances
  while (1 - sum > leastTail && chances.length < mostFailures) {
    const next = (nth(chances, chances.length - 1) * mean) / chances.length
    chances.push(next)
    sum += next
  }
  const last = chances.length - 1
  chances[last] = nth(chances, last) + (1 - sum)
  return chances
}
