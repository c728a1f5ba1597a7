import type { Thing } from '../bench'
import { inOrder, type Log, type Spent } from '../log'
import type { Reference } from '../reference'
import { ages, type OwnedThing } from '../shed'
import type { SupplyFamily } from '../supply'
import { whatIsLeft, type KitLeft } from '../trail'
import type { Trip } from '../trip'
import { usesIn } from './things'

/** How a ride used a thing. */
interface Use {
  readonly uses: number
  /** Pieces that are not there any more; negative where more came along. */
  readonly gone: number
  /** What was used up of each stock that it holds, in the unit of that; negative likewise. */
  readonly spent: Readonly<Record<string, number>>
}

/** What a ride did to a thing that was laid from a shed, as far as the shed was not told yet. */
export interface SinceShed extends Use {
  /** The thing of the bench, and the one of the shed. */
  readonly thing: string
  readonly shed: string
  readonly name: string
  /** The day on which something of it was used up first: since then air gets at it. */
  readonly opened: string | null
  /** The last day on which it did its work. */
  readonly proved: string | null
  /** How the ride used it in all: what the shed knows once it is told. */
  readonly inAll: Use
}

/** Less than this of a stock is nothing: sums of tenths are not exact. */
const leastAmount = 1e-6
const hundredths = (value: number) => Math.round(value * 100) / 100
const dayOf = ({ at }: { readonly at: string }) => at.slice(0, 10)

/**
 * What a log says of things that were laid from a shed: how often they were used, what is gone, and since when they are open. The
 * last entry that says what the shed was told of a thing says it in all: told twice, from two devices, it is told once.
 */
export function sinceShed(
  { bench, log }: Pick<Trip, 'bench' | 'log'>,
  reference: Pick<Reference, 'items'>,
): SinceShed[] {
  const atStart = whatIsLeft({ bench, log: log.filter(({ kind }) => kind === 'set off') }, [], reference)
  const now = whatIsLeft({ bench, log }, [], reference)
  const ordered = inOrder(log)
  return bench.flatMap((thing): SinceShed[] => {
    if (thing.shed === null) return []
    const inAll: Use = {
      uses: ordered.reduce((sum, entry) => sum + usesIn(entry, thing.id).length, 0),
      gone: piecesOf(atStart, thing.id) - piecesOf(now, thing.id),
      spent: stocksOf(thing, (stock) => amountOf(atStart, thing.id, stock) - amountOf(now, thing.id, stock)),
    }
    const told = ordered
      .flatMap((entry) => (entry.kind === 'put away' ? entry.things : []))
      .findLast((each) => each.thing === thing.id)
    const since: SinceShed = {
      thing: thing.id,
      shed: thing.shed,
      name: thing.name,
      uses: inAll.uses - (told?.uses ?? 0),
      gone: inAll.gone - (told?.gone ?? 0),
      spent: stocksOf(thing, (stock) => (inAll.spent[stock] ?? 0) - (told?.spent[stock] ?? 0)),
      opened: firstSpent(ordered, thing.id),
      proved: lastProved(ordered, thing.id),
      inAll,
    }
    return since.uses !== 0 || since.gone !== 0 || Object.keys(since.spent).length > 0 ? [since] : []
  })
}

/** An amount of each stock that a thing holds, of those of which it is any. */
const stocksOf = ({ units }: Pick<Thing, 'units'>, amount: (stock: string) => number) =>
  Object.fromEntries(
    Object.keys(units).flatMap((stock): [string, number][] => {
      const found = hundredths(amount(stock))
      return Math.abs(found) > leastAmount ? [[stock, found]] : []
    }),
  )

const piecesOf = ({ left }: KitLeft, thing: string) =>
  left.reduce((sum, each) => (each.thing === thing ? sum + each.count : sum), 0)
const amountOf = ({ left }: KitLeft, thing: string, stock: string) =>
  left.reduce((sum, each) => (each.thing === thing ? sum + (each.amounts[stock] ?? 0) : sum), 0)

const isOf = (thing: string) => (each: Spent) => each.thing === thing && each.stock !== null

function firstSpent(log: Log, thing: string): string | null {
  const entry = log.find(
    (each) =>
      (each.kind === 'failed' && each.tries.some(({ spent }) => spent.some(isOf(thing)))) ||
      (each.kind === 'gone' && each.spent.some(isOf(thing))),
  )
  return entry ? dayOf(entry) : null
}

function lastProved(log: Log, thing: string): string | null {
  const entry = log.findLast(
    (each) =>
      each.kind === 'failed' &&
      each.tries.some(
        ({ took, spent, held }) =>
          held === true && (took.includes(thing) || spent.some((some) => some.thing === thing)),
      ),
  )
  return entry ? dayOf(entry) : null
}

/**
 * A thing of the shed as it came home: used so often more, with what is left of it; what ages was opened, or seen to be good, on
 * that day. Of several pieces all hold the mean of what is left.
 *
 * @returns null where nothing is left of it
 */
export function putAway(owned: OwnedThing, since: SinceShed, families: readonly SupplyFamily[]): OwnedThing | null {
  const count = owned.count - since.gone
  if (count <= 0) return null
  const units = Object.fromEntries(
    Object.entries(owned.units).map(([stock, each]) => {
      const left = (owned.count * each - (since.spent[stock] ?? 0)) / count
      return [stock, Math.min(each, Math.max(0, hundredths(left)))]
    }),
  )
  const { opened, tested } = owned
  const later =
    [tested, since.proved]
      .filter((day) => day !== null)
      .sort()
      .at(-1) ?? null
  return {
    ...owned,
    count,
    units,
    uses: Math.max(0, owned.uses + since.uses),
    ...(ages(owned, families) && { opened: opened ?? since.opened, tested: later }),
  }
}
