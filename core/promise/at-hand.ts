import { roundingAmount } from '../ledger'
import { nth, numberAt } from '../validation'
import { AmountsLeft } from './amounts-left'
import type { DemandStream, LegGroup } from './demand-stream'
import type { StockLaw } from './stock-law'

/** What is at hand of stocks that are followed together when a failure comes. */
export interface AtHand {
  readonly amounts: AmountsLeft
  /** Of each of their states; the row may be longer. */
  readonly chances: Float64Array
}

/** Of what can be in one state only. */
const certain = new Float64Array([1])

/** Nothing of any stock. */
export const noneAtHand: AtHand = { amounts: new AmountsLeft([], []), chances: certain }

/**
 * The chance of so much or more of a stock, given what is known of each of those that are followed with it: so much at least,
 * and less than so much. None where that cannot be.
 *
 * @param least of each stock, by its number
 * @param less of each stock, by its number
 */
export function chanceAtHand(
  { amounts, chances }: AtHand,
  stock: number,
  wanted: number,
  least: Float64Array,
  less: Float64Array,
): number {
  const place = amounts.stocks.indexOf(stock)
  if (place < 0) return 0
  const row = nth(amounts.rows, place)
  if (amounts.stocks.length === 1) {
    return chanceAlone(row, chances, wanted - roundingAmount, numberAt(least, stock), numberAt(less, stock))
  }
  let [all, there] = [0, 0]
  for (let state = 0; state < amounts.size; state++) {
    if (!isPossible(amounts, state, least, less)) continue
    all += numberAt(chances, state)
    if (numberAt(row, state) >= wanted - roundingAmount) there += numberAt(chances, state)
  }
  return all > 0 ? there / all : 0
}

/** The same of a stock that is followed by itself, as most are: its amounts rise. */
function chanceAlone(row: Float64Array, chances: Float64Array, wanted: number, least: number, less: number): number {
  let [there, all] = [0, 0]
  let i = row.length - 1
  while (i >= 0 && numberAt(row, i) >= less - roundingAmount) i--
  for (; i >= 0 && numberAt(row, i) >= wanted; i--) there += numberAt(chances, i)
  if (least === 0 && less === Infinity) return there
  for (all = there; i >= 0 && numberAt(row, i) >= least - roundingAmount; i--) all += numberAt(chances, i)
  return all > 0 ? there / all : 0
}

/** Whether each stock can be left so in a state, by what is known of it. */
function isPossible({ stocks, rows }: AmountsLeft, state: number, least: Float64Array, less: Float64Array): boolean {
  for (let s = 0; s < stocks.length; s++) {
    const left = numberAt(nth(rows, s), state) + roundingAmount
    const stock = nth(stocks, s)
    if (left < numberAt(least, stock) || left >= numberAt(less, stock)) return false
  }
  return true
}

/**
 * What a stream finds of each cluster of stocks, in the mean over a group of legs.
 *
 * @param weights of the legs; they make up 1
 * @param laws of the clusters
 * @param rows to write to; good until they are written to again
 */
export function atHandOver(
  stream: DemandStream,
  { sums: { legs } }: LegGroup,
  weights: Float64Array,
  laws: readonly StockLaw[],
  rows?: ScratchRows,
): AtHand[] {
  return laws.map(({ amounts, sudden, worn }, place) => {
    if (amounts.size === 1) return { amounts, chances: certain }
    const chances = rows?.row(place, amounts.size) ?? new Float64Array(amounts.size)
    mean(amounts, worn.get(stream) ?? sudden, weights, legs, chances)
    return { amounts, chances }
  })
}

/** Rows that are written to over and over. */
export class ScratchRows {
  private readonly rows: Float64Array[] = []

  /** Nothing but zeros, so many or more. */
  row(place: number, size: number): Float64Array {
    const known = this.rows[place]
    if (known && known.length >= size) return known.fill(0)
    const row = new Float64Array(size)
    this.rows[place] = row
    return row
  }
}

function mean(
  { size }: AmountsLeft,
  onLegs: Float64Array,
  weights: Float64Array,
  legs: readonly number[],
  chances: Float64Array,
): void {
  for (const leg of legs) {
    const weight = numberAt(weights, leg)
    const start = leg * size
    for (let state = 0; state < size; state++) {
      chances[state] = numberAt(chances, state) + weight * numberAt(onLegs, start + state)
    }
  }
}
