import type { Highs } from 'highs'
import { indexLedger, type Ledger } from '../ledger'
import type { KitChoice } from '../search'
import { prove } from './prove'

/** What no kit beats at one price of a gram: hours lost, with its grams in hours. */
export interface BoundLine {
  /** Grams that an hour is worth. */
  readonly gramsPerHour: number
  readonly leastCostH: number
}

/** A kit, and the price at which it was looked for. */
interface Priced extends KitChoice {
  readonly gramsPerHour: number
}

/**
 * A bound of the frontier at the price of one of its kits, whatever is pinned and however much a kit may weigh: together with
 * those at other prices it lies below every kit of every mass.
 *
 * @param seconds after which the bound that was reached by then is taken
 */
export function boundLine(ledger: Ledger, kit: Priced, highs: Highs, seconds: number): BoundLine {
  const { gramsPerHour } = kit
  const priced = indexLedger({ ...ledger, gramsPerHour, budgetG: null, budgetMoney: null, pins: {} })
  return { gramsPerHour, leastCostH: kit.emptyH - prove(priced, kit, highs, { seconds }).boundNetH }
}

/**
 * The least that any kit of a mass loses, h: at each price what no kit beats, less the grams at that price, which
 * is the Lagrangian bound of a budget of grams; of several prices the one that bounds most.
 */
export const leastLostH = (lines: readonly BoundLine[], massG: number): number =>
  Math.max(0, ...lines.map(({ gramsPerHour, leastCostH }) => leastCostH - massG / gramsPerHour))
