import { roundingAmount, type Amount, type IndexedLedger } from '../ledger'
import type { Change } from '../promise'
import { nth } from '../validation'
import type { KitProblem } from './problem'

/** What a fix asks of a kit; many fixes may ask the same. */
export interface WayToMend {
  readonly needs: readonly number[]
  readonly uses: readonly Amount[]
}

/** Every distinct way to mend in a ledger. */
export function waysToMend({ events }: IndexedLedger): WayToMend[] {
  const ways = new Map<string, WayToMend>()
  for (const { needs, uses } of events.flatMap(({ fixes }) => fixes)) {
    const key = `${[...needs].sort((a, b) => a - b).join()}|${uses.map(({ stock, amount }) => `${stock}:${amount}`).join()}`
    if (!ways.has(key)) ways.set(key, { needs, uses })
  }
  return [...ways.values()]
}

/**
 * What a kit lacks for a way to mend: the lightest things that complete its tools, and stock for so many uses more than there
 * is now.
 *
 * @param uses 0 leaves the stock that is there as it is, and asks for one use where there is none
 * @param most how many there may be of each item
 * @returns the changes; empty where nothing is lacking; undefined where the bench has no more
 */
export function lackingParts(
  problem: KitProblem,
  counts: ArrayLike<number>,
  { needs, uses: drawn }: WayToMend,
  uses: number,
  most: ArrayLike<number> = problem.ledger.items.map(({ max }) => max),
): Change[] | undefined {
  const { items } = problem.ledger
  const added = new Map<number, number>()
  const countOf = (item: number) => nth(counts, item) + (added.get(item) ?? 0)
  const isLeft = (item: number) => countOf(item) < nth(most, item)
  const take = (item: number, by: number) => void added.set(item, (added.get(item) ?? 0) + by)

  const wanted = drawn.map(({ stock, amount }) => {
    const { suppliers } = nth(problem.demand.ofStock, stock)
    const carried = suppliers.reduce((sum, { item, amount: each }) => sum + nth(counts, item) * each, 0)
    return { suppliers, amount: uses === 0 ? Math.max(amount, carried) : carried + uses * amount }
  })
  const shortOf = ({ suppliers, amount }: (typeof wanted)[number]) =>
    amount - suppliers.reduce((sum, { item, amount: each }) => sum + countOf(item) * each, 0)
  for (const stock of wanted) {
    for (let short = shortOf(stock); short > roundingAmount; short = shortOf(stock)) {
      const lightest = leastOf(
        stock.suppliers.filter(({ item }) => isLeft(item)),
        ({ item, amount: each }) => nth(items, item).massG / Math.min(short, each),
      )
      if (!lightest) return undefined
      take(lightest.item, 1)
    }
  }
  const lackingTools = () => needs.filter((name) => !nth(problem.providers, name).some((item) => countOf(item) > 0))
  for (let lacking = lackingTools(); lacking.length > 0; lacking = lackingTools()) {
    const candidates = [...new Set(lacking.flatMap((name) => nth(problem.providers, name)))].filter(isLeft)
    const lightest = leastOf(candidates, (item) => {
      const { provides, massG } = nth(items, item)
      return massG / lacking.filter((name) => provides.includes(name)).length
    })
    if (lightest === undefined) return undefined
    take(lightest, 1)
  }
  // What was taken first may be superfluous beside what was taken later.
  const isComplete = () => lackingTools().length === 0 && wanted.every((stock) => shortOf(stock) <= roundingAmount)
  for (const item of added.keys()) {
    while (countOf(item) > nth(counts, item)) {
      take(item, -1)
      if (isComplete()) continue
      take(item, 1)
      break
    }
  }
  return [...added].flatMap(([item, by]) => (by > 0 ? [{ item, by }] : []))
}

function leastOf<T>(list: readonly T[], value: (entry: T) => number): T | undefined {
  let [best, least]: [T | undefined, number] = [undefined, Infinity]
  for (const entry of list) {
    const each = value(entry)
    if (each < least) [best, least] = [entry, each]
  }
  return best
}
