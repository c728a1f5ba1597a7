import { roundingAmount } from '../ledger'
import { nth, numberAt } from '../validation'
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

/** Moves of what is left of stocks that lead so many states down. */
interface Band {
  readonly down: number
  /** For each state, the chance of such a move from it. */
  readonly chances: Float64Array
}

/** Moves of what is left of stocks, each from one state to another with a chance. */
export type Moves = readonly Band[]

/** The moves that draws make. @param drawnAt what is drawn where so much is left of each stock */
export function movesDrawing(amounts: AmountsLeft, drawnAt: (left: readonly number[]) => Drawn): Moves {
  const bands = new Bands(amounts.size)
  for (let state = 0; state < amounts.size; state++) {
    for (const { spent, chance } of drawnAt(nth(amounts.leftIn, state)).draws) {
      const chances = bands.leading(state - amounts.after(state, spent))
      chances[state] = numberAt(chances, state) + chance
    }
  }
  return bands.list
}

/** The chances of what is left once moves are made. */
export function moved(chances: Float64Array, moves: Moves): Float64Array {
  const next = new Float64Array(chances.length)
  move(chances, moves, next)
  return next
}

/** The same, written to another row. */
export function move(chances: Float64Array, moves: Moves, next: Float64Array): void {
  next.fill(0)
  for (const { down, chances: shares } of moves) {
    for (let from = down; from < chances.length; from++) {
      next[from - down] = numberAt(next, from - down) + numberAt(shares, from) * numberAt(chances, from)
    }
  }
}

/** Moves of several kinds that come each with its share, as one. */
export class MixedMoves {
  /** How often all of them come that were added. */
  total = 0
  private readonly bands: Bands

  /** @param size how many states there are */
  constructor(size: number) {
    this.bands = new Bands(size)
  }

  /** Forgets what was added. */
  begin(): void {
    this.total = 0
    for (const { chances } of this.bands.list) chances.fill(0)
  }

  /** Adds moves of a kind that come so often. */
  add(moves: Moves, times: number): void {
    for (const { down, chances } of moves) {
      const gathered = this.bands.leading(down)
      for (let state = down; state < gathered.length; state++) {
        gathered[state] = numberAt(gathered, state) + times * numberAt(chances, state)
      }
    }
    this.total += times
  }

  /** What one of them does in the mean; good until they are begun anew. */
  moves(): Moves {
    const { total } = this
    if (total > 0) {
      for (const { chances } of this.bands.list) {
        for (let i = 0; i < chances.length; i++) chances[i] = numberAt(chances, i) / total
      }
    }
    return this.bands.list
  }
}

/** Bands of moves that grow as they are asked for. */
class Bands {
  readonly list: Band[] = []

  /** @param size how many states there are */
  constructor(private readonly size: number) {}

  /** The chances of those that lead so many states down. */
  leading(down: number): Float64Array {
    for (const band of this.list) if (band.down === down) return band.chances
    const chances = new Float64Array(this.size)
    this.list.push({ down, chances })
    return chances
  }
}

/** The place of an amount, sought downwards from one that is no less. */
function nearest(amounts: Float64Array, from: number, amount: number): number {
  let at = from
  while (at > 0 && numberAt(amounts, at) - amount > amount - numberAt(amounts, at - 1)) at--
  return at
}
