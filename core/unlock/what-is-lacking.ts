import type { CostsOfFailing } from '../availability'
import { thingSchema, type Thing } from '../bench'
import { indexLedger } from '../ledger'
import type { Change } from '../promise'
import { KitSearch, lackingParts } from '../search'
import { ledgerOfTrip } from '../trip-ledger'
import type { Reference } from '../reference'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { cutTo, nth, numberAt } from '../validation'

/** So much of a thing, by its id in the catalogue or on the bench. */
export interface Piece {
  readonly id: string
  readonly count: number
}

/** Things that nobody has laid on the bench, and what they would be worth together. */
export interface Lacking {
  /** From the catalogue. */
  readonly items: readonly Piece[]
  /** From the bench, where they stay at home so far. */
  readonly fromBench: readonly Piece[]
  /** Of all of them. */
  readonly massG: number
  /** Hours that they would spare beside the kit as it is. */
  readonly savedH: number
  /** The same, less the grams at their price. */
  readonly worthH: number
  /** The failures that they bear on by what they would spare, most first; as the ledger names them. */
  readonly events: readonly { readonly event: string; readonly savedH: number }[]
}

/** Of the catalogue so many of what is used up, and of the rest one, are thought to lie on the bench. */
const thoughtOf = { stock: 2, tool: 1 } as const
/** Less than this would not be worth a line, h. */
const leastSavedH = 0.005
/** So many failures are told. */
const mostEvents = 5

/** All that is asked of a trip to find what its bench lacks. */
type Asked = readonly [
  trip: Trip,
  survey: Survey,
  reference: Reference,
  costs: CostsOfFailing,
  counts: Readonly<Record<string, number>>,
]

/**
 * What the bench lacks: for every way to mend that the kit cannot go, the lightest things that complete it, with at least
 * one from the catalogue among them.
 *
 * @param counts how many of each thing on the bench are carried
 * @returns the one worth most first
 */
export function whatIsLacking(...asked: Asked): Lacking[] {
  return worthMostFirst([...eachLacking(...asked)])
}

/** The same one by one as they are tried, for whoever has other work to do in between; in no order. */
export function* eachLacking(...[trip, survey, reference, costs, carried]: Asked): Generator<Lacking | undefined> {
  const laid = reference.items
    .filter(({ id }) => !trip.bench.some(({ from }) => from === id))
    .map((item): Thing => {
      const { source: _, group: __, ...rest } = item
      const count = Object.keys(item.units).length > 0 ? thoughtOf.stock : thoughtOf.tool
      return thingSchema.parse({ ...rest, count, id: cutTo(`lacking ${item.id}`, 60), from: item.id })
    })
  if (laid.length === 0) return
  const bench = [...trip.bench, ...laid]
  const { ledger } = ledgerOfTrip({ ...trip, bench }, survey, reference, costs)
  yield undefined
  const search = KitSearch.forLedger(indexLedger({ ...ledger, pins: {} }))
  yield undefined
  const { problem } = search
  const { items, events, hoursPerGram } = problem.ledger
  const counts = items.map(({ id }) => carried[id] ?? 0)
  const promise = search.settled(counts)
  const before = promise.hoursByStream()
  const tried = new Set<string>()
  for (const way of problem.ways) {
    for (const uses of [0, 1]) {
      const changes = lackingParts(problem, counts, way, uses)
      if (!changes?.some(({ item }) => item >= trip.bench.length)) continue
      const key = keyOf(changes)
      if (tried.has(key)) continue
      tried.add(key)
      const after = promise.tryOut(changes, () => promise.hoursByStream())
      const saved = before.map((hours, number) => hours - numberAt(after, number))
      const savedH = saved.reduce((sum, hours) => sum + hours, 0)
      const massG = changes.reduce((sum, { item, by }) => sum + by * nth(items, item).massG, 0)
      const byEvent = events.map(({ id }) => ({
        event: id,
        savedH: problem.demand.streams.reduce(
          (sum, { event }, number) => sum + (event.id === id ? numberAt(saved, number) : 0),
          0,
        ),
      }))
      const pieces = (fromCatalogue: boolean) =>
        changes.flatMap(({ item, by }): Piece[] => {
          if (item >= trip.bench.length !== fromCatalogue) return []
          const { id, from } = nth(bench, item)
          return [{ id: fromCatalogue ? (from ?? id) : id, count: by }]
        })
      yield {
        items: pieces(true),
        fromBench: pieces(false),
        massG,
        savedH,
        worthH: savedH - massG * hoursPerGram,
        events: byEvent
          .filter((each) => each.savedH > leastSavedH / mostEvents)
          .sort((a, b) => b.savedH - a.savedH)
          .slice(0, mostEvents),
      }
    }
  }
}

/** Those that spare anything to speak of, the one worth most first; of those that hold all of another and spare no more, none. */
export function worthMostFirst(tried: readonly (Lacking | undefined)[]): Lacking[] {
  const worthwhile = tried
    .filter((each) => each !== undefined)
    .filter(({ savedH }) => savedH > leastSavedH)
    .sort((a, b) => b.worthH - a.worthH || a.massG - b.massG)
  return worthwhile.filter((lacking, i) => !worthwhile.slice(0, i).some((better) => shares(better, lacking)))
}

/** Whether two ask for some of the same things of the catalogue: the better one speaks for both. */
const shares = (a: Lacking, b: Lacking) => a.items.some(({ id }) => b.items.some((other) => other.id === id))

const keyOf = (changes: readonly Change[]) =>
  changes
    .map(({ item, by }) => `${item}:${by}`)
    .sort()
    .join()
