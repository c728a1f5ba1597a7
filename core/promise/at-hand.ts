import { roundingAmount } from '../ledger'
import { numberAt } from '../validation'
import type { DemandStream, LegGroup } from './demand-stream'
import type { StockLaw } from './stock-law'

/** What is at hand of a stock when a failure comes. */
export interface AtHand {
  /** What it can have come down to, from the least to what was carried. */
  readonly amounts: Float64Array
  /** Of each of them, the chance of so much or more. */
  readonly atLeast: Float64Array
}

/** Nothing of a stock. */
export const noneAtHand: AtHand = { amounts: new Float64Array([0]), atLeast: new Float64Array([1]) }

/** The chance of so much or more. */
export function chanceAtHand({ amounts, atLeast }: AtHand, amount: number): number {
  for (let i = 0; i < amounts.length; i++) {
    if (numberAt(amounts, i) >= amount - roundingAmount) return numberAt(atLeast, i)
  }
  return 0
}

/**
 * What a stream finds of each stock that it draws on, in the mean over a group of legs.
 *
 * @param weights of the legs; they make up 1
 * @param laws of the stocks, by their numbers; of one that is not among them nothing is at hand
 */
export function atHandOver(
  stream: DemandStream,
  { legs }: LegGroup,
  weights: Float64Array,
  laws: readonly StockLaw[],
): AtHand[] {
  const atHand: AtHand[] = []
  for (const stock of stream.stocks) {
    const law = laws[stock]
    const onLegs = law && (law.worn.get(stream) ?? law.sudden)
    atHand[stock] = onLegs ? mean(onLegs, weights, legs) : noneAtHand
  }
  return atHand
}

function mean(onLegs: readonly AtHand[], weights: Float64Array, legs: readonly number[]): AtHand {
  const { amounts } = onLegs[0] ?? noneAtHand
  if (amounts.length === 1) return onLegs[0] ?? noneAtHand
  const atLeast = new Float64Array(amounts.length)
  for (const leg of legs) {
    const weight = numberAt(weights, leg)
    const each = onLegs[leg] ?? noneAtHand
    for (let i = 0; i < atLeast.length; i++) atLeast[i] = numberAt(atLeast, i) + weight * numberAt(each.atLeast, i)
  }
  return { amounts, atLeast }
}
