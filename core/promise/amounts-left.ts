import { roundingAmount } from '../ledger'
import { defined, nth, numberAt } from '../validation'
import type { Drawn } from './failure-walk'

/** More amounts of a stock are not told apart. */
const mostAmounts = 200

/** What a stock can come down to, from the least to what was carried. */
export function amountsOf(full: number, draws: readonly number[]): Float64Array {
  const found = [full]
  for (let i = 0; i < found.length && found.length < mostAmounts; i++) {
    for (const draw of draws) {
      const left = nth(found, i) - draw
      const isNew = left >= -roundingAmount && !found.some((amount) => Math.abs(amount - left) < 1e-6)
      if (isNew) found.push(Math.max(0, left))
    }
  }
  return Float64Array.from(found).sort()
}

/**
 * What stocks that are followed together can come down to: one state for each way to pair their amounts, from the least of
 * all to what was carried.
 */
export class AmountsLeft {
  readonly size: number
  /** For each stock, what is left of it in each state. */
  readonly rows: readonly Float64Array[]
  /** For each state, what is left of each stock. */
  readonly leftIn: readonly (readonly number[])[]
  /** For each stock, by how many states its next amount lies further. */
  private readonly strides: readonly number[]

  /** @param amounts of each of the stocks, from the least to what was carried */
  constructor(
    readonly stocks: readonly number[],
    private readonly amounts: readonly Float64Array[],
  ) {
    this.size = amounts.reduce((size, { length }) => size * length, 1)
    this.strides = amounts.map((_, s) => amounts.slice(s + 1).reduce((size, { length }) => size * length, 1))
    this.rows = amounts.map((each, s) =>
      Float64Array.from({ length: this.size }, (_, state) =>
        numberAt(each, Math.floor(state / nth(this.strides, s)) % each.length),
      ),
    )
    this.leftIn = Array.from({ length: this.size }, (_, state) => this.rows.map((row) => numberAt(row, state)))
  }

  /** The state in which everything is there that was carried. */
  get full(): number {
    return this.size - 1
  }

  /** The state that is nearest to one less so much of each stock. */
  after(state: number, spent: readonly number[]): number {
    let next = state
    for (let s = 0; s < spent.length; s++) {
      const stride = nth(this.strides, s)
      const at = Math.floor(state / stride) % nth(this.amounts, s).length
      const left = numberAt(nth(this.rows, s), state) - nth(spent, s)
      next -= stride * (at - nearest(nth(this.amounts, s), at, left))
    }
    return next
  }

  /** The state where a stock, by its place among them, is there again as it was carried. */
  refilled(state: number, place: number): number {
    const [stride, { length }] = [nth(this.strides, place), nth(this.amounts, place)]
    return state + stride * (length - 1 - (Math.floor(state / stride) % length))
  }
}

/** Moves of what is left of stocks, each from one state to another with a chance. */
export interface Moves {
  readonly from: Int32Array
  readonly to: Int32Array
  readonly chances: Float64Array
}

/** The moves that draws make. @param drawnAt what is drawn where so much is left of each stock */
export function movesDrawing(amounts: AmountsLeft, drawnAt: (left: readonly number[]) => Drawn): Moves {
  const [from, to, chances]: [number[], number[], number[]] = [[], [], []]
  for (let state = 0; state < amounts.size; state++) {
    const { draws } = drawnAt(nth(amounts.leftIn, state))
    for (const { spent, chance } of draws) {
      from.push(state)
      to.push(amounts.after(state, spent))
      chances.push(chance)
    }
  }
  return { from: Int32Array.from(from), to: Int32Array.from(to), chances: Float64Array.from(chances) }
}

/** The chances of what is left once moves are made. */
export function moved(chances: Float64Array, moves: Moves): Float64Array {
  const next = new Float64Array(chances.length)
  move(chances, moves, next)
  return next
}

/** The same, written to another row. */
export function move(chances: Float64Array, { from, to, chances: shares }: Moves, next: Float64Array): void {
  next.fill(0)
  for (let i = 0; i < from.length; i++) {
    const at = wholeAt(to, i)
    next[at] = numberAt(next, at) + numberAt(shares, i) * numberAt(chances, wholeAt(from, i))
  }
}

/** Moves of several kinds that come each with its share, as one: those from and to the same states are added up. */
export class MixedMoves {
  /** How often all of them come that were added. */
  total = 0
  private readonly from: Int32Array
  private readonly to: Int32Array
  private readonly gathered: Float64Array
  private readonly places = new Map<Moves, Int32Array>()

  /** @param size how many states there are */
  constructor(size: number, kinds: readonly (Moves | undefined)[]) {
    const placeOf = new Int32Array(size * size).fill(-1)
    const [allFrom, allTo]: [number[], number[]] = [[], []]
    for (const moves of kinds) {
      if (!moves || this.places.has(moves)) continue
      const places = new Int32Array(moves.from.length)
      for (let i = 0; i < places.length; i++) {
        const [from, to] = [wholeAt(moves.from, i), wholeAt(moves.to, i)]
        const at = from * size + to
        if (wholeAt(placeOf, at) < 0) {
          placeOf[at] = allFrom.length
          allFrom.push(from)
          allTo.push(to)
        }
        places[i] = wholeAt(placeOf, at)
      }
      this.places.set(moves, places)
    }
    this.from = Int32Array.from(allFrom)
    this.to = Int32Array.from(allTo)
    this.gathered = new Float64Array(allFrom.length)
  }

  /** Forgets what was added. */
  begin(): void {
    this.total = 0
    this.gathered.fill(0)
  }

  /** Adds moves of a kind that come so often. */
  add(moves: Moves, times: number): void {
    const { gathered } = this
    const places = defined(this.places.get(moves))
    for (let i = 0; i < places.length; i++) {
      const place = wholeAt(places, i)
      gathered[place] = numberAt(gathered, place) + times * numberAt(moves.chances, i)
    }
    this.total += times
  }

  /** What one of them does in the mean; good until they are begun anew. */
  moves(): Moves {
    const { gathered, total } = this
    if (total > 0) for (let i = 0; i < gathered.length; i++) gathered[i] = numberAt(gathered, i) / total
    return { from: this.from, to: this.to, chances: gathered }
  }
}

/** As `numberAt`, for rows of whole numbers. @throws RangeError outside the row */
function wholeAt(row: Int32Array, index: number): number {
  const value = row[index]
  if (value === undefined) throw new RangeError(`place ${index} lies outside a row of ${row.length}`)
  return value
}

/** The place of an amount, sought downwards from one that is no less. */
function nearest(amounts: Float64Array, from: number, amount: number): number {
  let at = from
  while (at > 0 && numberAt(amounts, at) - amount > amount - numberAt(amounts, at - 1)) at--
  return at
}
