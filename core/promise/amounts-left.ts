import { roundingAmount } from '../ledger'
import { defined, nth, numberAt } from '../validation'
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
export interface Moves {
  readonly from: Int32Array
  readonly to: Int32Array
  readonly chances: Float64Array
}

/** The moves that draws make. @param drawnAt what is drawn where so much is left */
export function movesDrawing(amounts: Float64Array, drawnAt: (left: number) => Pick<Drawn, 'amounts' | 'chances'>): Moves {
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
  return { from: Int32Array.from(from), to: Int32Array.from(to), chances: Float64Array.from(chances) }
}

/** The chances of what is left once moves are made. */
export function moved(chances: Float64Array, moves: Moves): Float64Array {
  const next = new Float64Array(chances.length)
  for (let i = 0; i < moves.from.length; i++) {
    const to = wholeAt(moves.to, i)
    next[to] = numberAt(next, to) + numberAt(moves.chances, i) * numberAt(chances, wholeAt(moves.from, i))
  }
  return next
}

/** Moves of several kinds that come each with its share, as one: those from and to the same amounts are added up. */
export class MixedMoves {
  private readonly from: Int32Array
  private readonly to: Int32Array
  private readonly places = new Map<Moves, Int32Array>()

  /** @param size how many amounts there are */
  constructor(size: number, kinds: readonly Moves[]) {
    const placeOf = new Int32Array(size * size).fill(-1)
    const [allFrom, allTo]: [number[], number[]] = [[], []]
    for (const moves of kinds) {
      if (this.places.has(moves)) continue
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
  }

  /** @param shares of the kinds that come; they make up 1 */
  mix(shares: readonly { readonly moves: Moves; readonly share: number }[]): Moves {
    const chances = new Float64Array(this.from.length)
    for (const { moves, share } of shares) {
      const places = defined(this.places.get(moves))
      for (let i = 0; i < places.length; i++) {
        const place = wholeAt(places, i)
        chances[place] = numberAt(chances, place) + share * numberAt(moves.chances, i)
      }
    }
    return { from: this.from, to: this.to, chances }
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
