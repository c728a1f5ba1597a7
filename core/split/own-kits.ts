import { KitSearch, payingAtSight, type KitProblem } from '../search'
import { nth } from '../validation'
import type { SplitProblem } from './problem'

/** How many of each item riders would carry by themselves; of those on one bike the first carries it all. */
export const ownKits = (problem: SplitProblem) =>
  kitsAlone(problem, ({ ledger }) => KitSearch.forLedger(ledger).best().counts)

/** The same, nearly: of all there is what pays at first sight. */
export const roughKits = (problem: SplitProblem) => kitsAlone(problem, payingAtSight)

const kitsAlone = ({ riders, alone, items }: SplitProblem, kitOf: (own: KitProblem) => ArrayLike<number>) =>
  riders.map(({ bike }, r) => {
    const own = nth(alone, bike)
    const isFirst = riders.findIndex((rider) => rider.bike === bike) === r
    return own && isFirst ? kitOf(own) : items.map(() => 0)
  })
