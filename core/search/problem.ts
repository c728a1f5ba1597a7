import type { IndexedLedger, Terms } from '../ledger'
import { demandOf, type Demand } from '../promise'
import { nth } from '../validation'
import { waysToMend, type WayToMend } from './way-to-mend'

/** What a search for the best kit has to know of a ledger, and what it works out once. */
export interface KitProblem {
  readonly ledger: IndexedLedger
  readonly demand: Demand
  /** For each function, the items that provide it. */
  readonly providers: readonly (readonly number[])[]
  /** For each item, the streams of failures that it bears on at first hand: those that need it, or draw on what is followed with it. */
  readonly streamsOf: readonly (readonly number[])[]
  /** For each item, those that bear on one of the same streams. */
  readonly meets: readonly ReadonlySet<number>[]
  /** For each item, those that give some function or stock that it gives as well. */
  readonly rivals: readonly ReadonlySet<number>[]
  readonly ways: readonly WayToMend[]
  /** What everything bare-handed would lose, in hours. */
  readonly hoursAtStake: number
}

/** @param earlier the problem of a ledger that may differ in little: what was worked out of it is used again where it holds */
export function kitProblem(ledger: IndexedLedger, earlier?: KitProblem): KitProblem {
  const demand = demandOf(ledger, earlier?.demand)
  const { items } = ledger
  const providers = ledger.functions.map((_, name) =>
    items.flatMap(({ provides }, i) => (provides.includes(name) ? [i] : [])),
  )
  const suppliers = demand.ofStock.map((stock) => stock.suppliers.map(({ item }) => item))
  const streamsOf = items.map(({ provides, units }) => [
    ...new Set([
      ...provides.flatMap((name) => nth(demand.streamsOfFunction, name)),
      ...units.flatMap(({ stock }) => nth(demand.clusters, nth(demand.clusterOf, stock)).streams),
    ]),
  ])
  const itemsOf = demand.streams.map((): number[] => [])
  streamsOf.forEach((numbers, i) => {
    for (const number of numbers) nth(itemsOf, number).push(i)
  })
  const others = (groups: readonly (readonly number[])[], i: number) =>
    new Set(groups.flat().filter((other) => other !== i))
  return {
    ledger,
    demand,
    providers,
    streamsOf,
    meets: items.map((_, i) =>
      others(
        nth(streamsOf, i).map((number) => nth(itemsOf, number)),
        i,
      ),
    ),
    rivals: items.map(({ provides, units }, i) =>
      others([...provides.map((name) => nth(providers, name)), ...units.map(({ stock }) => nth(suppliers, stock))], i),
    ),
    ways: waysToMend(ledger),
    hoursAtStake: demand.streams.reduce((sum, stream) => sum + stream.hoursAtStake, 0),
  }
}

/** The same problem on other terms. */
export function onTerms(problem: KitProblem, { counts, ...terms }: Terms): KitProblem {
  const items = problem.ledger.items.map((item, i) => ({ ...item, ...nth(counts, i) }))
  const ledger = { ...problem.ledger, ...terms, items }
  return { ...problem, ledger, demand: { ...problem.demand, ledger } }
}
