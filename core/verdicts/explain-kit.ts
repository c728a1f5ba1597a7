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
  const steps = explaining(ledger, search, kit)
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}

/** The same, item by item: between two of them others may have their turn. */
export function* explaining(ledger: Ledger, search: KitSearch, kit: KitChoice): Generator<undefined, Kit, undefined> {
  const weighing = new Weighing(search, kit)
  const free = search.under(termsOf({ ...ledger, pins: {} })).problem
  const verdicts: Verdict[] = []
  for (const [item, { id }] of ledger.items.entries()) {
    verdicts.push(verdictOf(weighing, free, item, ledger.pins[id] !== undefined))
    yield
  }
  return { ...kit, verdicts, balance: balanceOf(weighing) }
}
