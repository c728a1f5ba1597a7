import type { Change, KitState } from './kit-state'
import { type Answer, type Problem, slack } from './problem'

/** What an answer asks of a kit, shared by the many claims that could use it. */
export interface Demand {
  readonly needs: readonly number[]
  readonly stocks: readonly number[]
  readonly amounts: readonly number[]
  /** The most pieces of stock that all claims with this demand could draw at once in one gap. */
  readonly repeats: number
}

/** Every distinct demand among the answers of a problem. */
export function answerDemands(problem: Problem): Demand[] {
  const demands = new Map<string, { answer: Answer; onShelf: Map<number, number> }>()
  for (const claim of problem.claims) {
    for (const answer of claim.answers) {
      const key = `${answer.needs.join()}|${answer.stocks.join()}|${answer.amounts.join()}`
      const entry = demands.get(key) ?? { answer, onShelf: new Map<number, number>() }
      for (const shelf of answer.shelves) entry.onShelf.set(shelf, (entry.onShelf.get(shelf) ?? 0) + 1)
      demands.set(key, entry)
    }
  }
  return [...demands.values()].map(({ answer, onShelf }) => ({
    needs: answer.needs,
    stocks: answer.stocks,
    amounts: answer.amounts,
    repeats: Math.max(1, ...onShelf.values()),
  }))
}

/**
 * The missing parts of a demand: the lightest way to complete it from the kit
 * at hand, and stock for so many uses more than there is now.
 *
 * @returns the changes; empty when nothing is missing; undefined when the bench has no more
 */
export function missingParts(state: KitState, demand: Demand, uses: number): Change[] | undefined {
  const added: Change[] = []
  for (let j = 0; uses > 0 && j < demand.stocks.length; j++) {
    const stock = demand.stocks[j]!
    let short = demand.amounts[j]! * uses
    while (short > slack) {
      const item = lightestSupply(state, added, stock, short)
      if (item < 0) return undefined
      add(added, item)
      short -= unitsOf(state.problem, item, stock)
    }
  }
  for (;;) {
    const lacking = lackingNeeds(state, demand, added)
    if (!lacking) return added
    const item = lightestTool(state, added, lacking)
    if (item < 0) return undefined
    add(added, item)
  }
}

/** The needs that neither the kit nor what is being added offers; undefined when there are none. */
function lackingNeeds(state: KitState, demand: Demand, added: readonly Change[]): number[] | undefined {
  let lacking: number[] | undefined
  for (const f of demand.needs) {
    if (state.offers(f)) continue
    if (added.some(({ item }) => state.problem.items[item]!.provides.includes(f))) continue
    if (lacking) lacking.push(f)
    else lacking = [f]
  }
  return lacking
}

function add(added: Change[], item: number): void {
  const at = added.findIndex((change) => change.item === item)
  if (at < 0) added.push({ item, by: 1 })
  else added[at] = { item, by: added[at]!.by + 1 }
}

function isLeft(state: KitState, added: readonly Change[], item: number): boolean {
  const by = added.find((change) => change.item === item)?.by ?? 0
  return state.counts[item]! + by < state.problem.items[item]!.max
}

/** The item that gives the stock for the fewest grams a unit still wanted; −1 when none is left. */
function lightestSupply(state: KitState, added: readonly Change[], stock: number, wanted: number): number {
  let best = -1
  let bestPerUnit = Infinity
  for (const item of state.problem.suppliers[stock]!) {
    if (!isLeft(state, added, item)) continue
    const perUnit = state.problem.items[item]!.massG / Math.min(wanted, unitsOf(state.problem, item, stock))
    if (perUnit < bestPerUnit) [best, bestPerUnit] = [item, perUnit]
  }
  return best
}

/** The item that gives the lacking functions for the fewest grams each; −1 when none is left. */
function lightestTool(state: KitState, added: readonly Change[], lacking: readonly number[]): number {
  let best = -1
  let bestPerNeed = Infinity
  for (const f of lacking) {
    for (const item of state.problem.providers[f]!) {
      if (!isLeft(state, added, item)) continue
      const { provides, massG } = state.problem.items[item]!
      const covers = lacking.reduce((sum, g) => sum + (provides.includes(g) ? 1 : 0), 0)
      if (massG / covers < bestPerNeed) [best, bestPerNeed] = [item, massG / covers]
    }
  }
  return best
}

function unitsOf(problem: Problem, item: number, stock: number): number {
  const { stocks, units } = problem.items[item]!
  return units[stocks.indexOf(stock)]!
}
