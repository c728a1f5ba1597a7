import { roundingAmount } from '../ledger'
import { nth, numberAt } from '../validation'
import type { Drawn } from './failure-walk'

/** More amounts are not told apart. */
const mostAmounts = 200

/** What a stock can come down to, from the least to what was carried. */
export function amountsLeft(full: number, draws: readonly number[]): Float64Array {
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

/** Moves of what is left of a stock, each from one of its amounts to another with a chance. */
export class Moves {
  private constructor(
    private readonly from: Int32Array,
    private readonly to: Int32Array,
    private readonly chances: Float64Array,
  ) {}

  /** The moves that draws make. @param drawnAt what is drawn where so much is left */
  static drawing(amounts: Float64Array, drawnAt: (left: number) => Drawn): Moves {
    const [from, to, chances]: [number[], number[], number[]] = [[], [], []]
    for (let at = 0; at < amounts.length; at++) {
      const left = numberAt(amounts, at)
      const drawn = drawnAt(left)
      for (let i = 0; i < drawn.amounts.length; i++) {
        from.push(at)
        to.push(nearest(amounts, at, left - nth(drawn.amounts, i)))
        chances.push(nth(drawn.chances, i))
      }
    }
    return new Moves(Int32Array.from(from), Int32Array.from(to), Float64Array.from(chances))
  }

  /** Moves that come each with its share, as one. */
  static mixed(size: number, shares: readonly { readonly moves: Moves; readonly share: number }[]): Moves {
    const [only] = shares
    if (only && shares.length === 1) return only.moves
    const table = new Float64Array(size * size)
    let count = 0
    for (const { moves, share } of shares) {
      for (let i = 0; i < moves.from.length; i++) {
        const at = wholeAt(moves.from, i) * size + wholeAt(moves.to, i)
        const before = numberAt(table, at)
        if (before === 0) count++
        table[at] = before + share * numberAt(moves.chances, i)
      }
    }
    const mixed = new Moves(new Int32Array(count), new Int32Array(count), new Float64Array(count))
    let next = 0
    for (let from = 0; from < size; from++) {
      // What is drawn is never more than there is.
      for (let to = 0; to <= from; to++) {
        const chance = numberAt(table, from * size + to)
        if (chance === 0) continue
        mixed.from[next] = from
        mixed.to[next] = to
        mixed.chances[next++] = chance
      }
    }
    return mixed
  }

  /** The chances of what is left once the moves are made. */
  make(chances: Float64Array): Float64Array {
    const next = new Float64Array(chances.length)
    for (let i = 0; i < this.from.length; i++) {
      const target = wholeAt(this.to, i)
      next[target] = numberAt(next, target) + numberAt(this.chances, i) * numberAt(chances, wholeAt(this.from, i))
    }
    return next
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
