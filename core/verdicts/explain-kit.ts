import { termsOf, type Ledger } from '../ledger'
import type { KitChoice, KitSearch } from '../search'
import { balanceOf, type Balance } from './balance'
import { verdictOf, type Verdict } from './verdict'
import { Weighing } from './weighing'

/** The chosen kit, with its why. */
export interface Kit extends KitChoice {
  readonly verdicts: Verdict[]
  readonly balance: Balance
}

/**
 * Explains a kit: every item with its verdict, and how the hours come about.
 *
 * @param search of the ledger
 * @param kit the best that it finds, where it is not at hand
 * @throws Fault where what is pinned weighs or costs more than a budget
 */
export function explainKit(ledger: Ledger, search: KitSearch, kit: KitChoice = search.best()): Kit {
  const weighing = new Weighing(search, kit)
  const free = search.under(termsOf({ ...ledger, pins: {} })).problem
  return {
    ...kit,
    verdicts: ledger.items.map(({ id }, item) => verdictOf(weighing, free, item, ledger.pins[id] !== undefined)),
    balance: balanceOf(weighing),
  }
}
