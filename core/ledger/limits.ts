import { formatMoney, toBuy } from '../money'
import { Fault, nth } from '../validation'
import type { IndexedItem, IndexedLedger } from './indexed'

/** What a kit takes of what may be limited. */
export interface Load {
  readonly massG: number
  /** What has to be bought of it costs so much, in the smallest coins. */
  readonly money: number
}

type Limits = Pick<IndexedLedger, 'budgetG' | 'budgetMoney' | 'currency'>
type Items = readonly Pick<IndexedItem, 'massG' | 'price' | 'owned'>[]

/** What has to be bought of so many pieces of an item, in the smallest coins. */
export const moneyFor = ({ price, owned }: Pick<IndexedItem, 'price' | 'owned'>, count: number): number =>
  price * toBuy(owned, count)

/** @param counts how many of each item are carried, in their order */
export function loadOf({ items }: { readonly items: Items }, counts: ArrayLike<number>): Load {
  let [massG, money] = [0, 0]
  items.forEach((item, i) => {
    massG += item.massG * nth(counts, i)
    money += moneyFor(item, nth(counts, i))
  })
  return { massG, money }
}

/** @param counts how many of each item are carried, in their order */
export const massOf = (ledger: { readonly items: Items }, counts: ArrayLike<number>): number =>
  loadOf(ledger, counts).massG

/** Whether a kit is within both limits. */
export const isWithin = ({ massG, money }: Load, { budgetG, budgetMoney }: Omit<Limits, 'currency'>): boolean =>
  massG <= budgetG && money <= budgetMoney

/** What is wrong with limits that what is pinned goes beyond. @param ids of what is pinned */
export function faultsOfLimits(
  { massG, money }: Load,
  { budgetG, budgetMoney, currency }: Limits,
  ids: readonly string[],
): Fault[] {
  const pinned = `of what is pinned: ${ids.map((id) => `"${id}"`).join(', ')}`
  const inMoney = (coins: number) => formatMoney(coins, currency)
  return [
    ...(massG > budgetG ? [new Fault('budgetG', `${budgetG} g`, `at least the ${massG} g ${pinned}`)] : []),
    ...(money > budgetMoney
      ? [new Fault('budgetMoney', inMoney(budgetMoney), `at least the ${inMoney(money)} ${pinned}`)]
      : []),
  ]
}

/** @throws Fault where what is pinned is beyond a limit, so that no kit is within both */
export function expectPinsWithin(ledger: IndexedLedger): void {
  const counts = ledger.items.map(({ min }) => min)
  const ids = ledger.items.filter(({ min }) => min > 0).map(({ id }) => id)
  const [fault] = faultsOfLimits(loadOf(ledger, counts), ledger, ids)
  if (fault) throw fault
}
