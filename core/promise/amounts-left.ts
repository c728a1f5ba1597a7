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

  /** The moves that draws make, one law of them for each amount left. */
  static drawing(amounts: Float64Array, drawn: readonly Drawn[]): Moves {
    const list = drawn.flatMap((law, from) =>
      law.amounts.map((amount, i) => ({
        from,
        to: nearest(amounts, numberAt(amounts, from) - amount),
        chance: nth(law.chances, i),
      })),
    )
    return new Moves(
      Int32Array.from(list, ({ from }) => from),
      Int32Array.from(list, ({ to }) => to),
      Float64Array.from(list, ({ chance }) => chance),
    )
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

function nearest(amounts: Float64Array, amount: number): number {
  let best = 0
  for (let i = 1; i < amounts.length; i++) {
    if (Math.abs(numberAt(amounts, i) - amount) < Math.abs(numberAt(amounts, best) - amount)) best = i
  }
  return best
}
