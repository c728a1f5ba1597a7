import type { IndexedLedger } from './indexed'
import type { Ledger } from './schema'

/** On what terms kits of a ledger are chosen: what may change while its failures stay. */
export interface Terms extends Pick<IndexedLedger, 'budgetG' | 'budgetMoney' | 'hoursPerGram'> {
  /** Of each item how many are carried at least and at most: what there is, within its pin. */
  readonly counts: readonly { readonly min: number; readonly max: number }[]
}

export function termsOf({ items, pins, budgetG, budgetMoney, gramsPerHour }: Ledger): Terms {
  return {
    counts: items.map(({ id, max }) => {
      const pin = pins[id]
      return { min: pin?.min ?? 0, max: Math.min(max, pin?.max ?? max) }
    }),
    budgetG: budgetG ?? Infinity,
    budgetMoney: budgetMoney ?? Infinity,
    hoursPerGram: gramsPerHour === null ? 0 : 1 / gramsPerHour,
  }
}
