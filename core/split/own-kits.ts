import { KitSearch } from '../search'
import { nth } from '../validation'
import type { SplitProblem } from './problem'

/** How many of each item riders would carry by themselves; of those on one bike the first carries it all. */
export function ownKits({ riders, alone, items }: SplitProblem): (readonly number[])[] {
  return riders.map(({ bike }, r) => {
    const own = nth(alone, bike)
    const isFirst = riders.findIndex((rider) => rider.bike === bike) === r
    return own && isFirst ? KitSearch.forLedger(own.ledger).best().counts : items.map(() => 0)
  })
}
