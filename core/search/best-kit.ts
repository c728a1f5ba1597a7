import type { IndexedLedger } from '../ledger'
import { KitSearch, type KitChoice } from './kit-search'

/** The best kit of a ledger that a search finds, within pins and budget (`KitSearch`). */
export function bestKit(ledger: IndexedLedger): KitChoice {
  return KitSearch.forLedger(ledger).best()
}

/** @param counts how many of each item are carried, in their order */
export function choiceOf(ledger: IndexedLedger, counts: ArrayLike<number>): KitChoice {
  return KitSearch.forLedger(ledger).choice(counts)
}
