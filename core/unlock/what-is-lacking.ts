import type { CostsOfFailing } from '../availability'
import { thingFrom, type Thing } from '../bench'
import { indexLedger, type Ledger } from '../ledger'
import type { Change } from '../promise'
import { KitSearch, lackingParts } from '../search'
import { writeLedger } from '../trip-ledger'
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

/** A trip's bench with the catalogue laid beside it. */
export interface LaidOut {
  readonly ledger: Ledger
  /** Of each thing of that bench: what it is, and whether it was laid there in thought only. */
  readonly things: readonly { readonly id: string; readonly isThought: boolean }[]
}

/** Writes the ledger of a trip as if all of the catalogue lay on its bench, with nothing pinned. */
export function withCatalogue(trip: Trip, survey: Survey, reference: Reference, costs: CostsOfFailing): LaidOut {
  const laid = reference.items
    .filter(({ id }) => !trip.bench.some(({ from }) => from === id))
    .map((item): Thing => {
      const count = Object.keys(item.units).length > 0 ? thoughtOf.stock : thoughtOf.tool
      return thingFrom(item, cutTo(`lacking ${item.id}`, 60), count)
    })
  const { ledger } = writeLedger({ ...trip, bench: [...trip.bench, ...laid] }, survey, reference, costs)
  return {
    ledger: { ...ledger, pins: {} },
    things: [
      ...trip.bench.map(({ id }) => ({ id, isThought: false })),
      ...laid.map(({ id, from }) => ({ id: from ?? id, isThought: true })),
    ],
  }
}

/**
 * What the bench lacks: for every way to mend that the kit cannot go, the lightest things that complete it, with at least
 * one from the catalogue among them.
 *
 * @param carried how many of each thing on the bench are carried
 * @returns the one worth most first
 */
export function whatIsLacking(
  { ledger, things }: LaidOut,
  gramsPerHour: number | null,
  carried: Readonly<Record<string, number>>,
): Lacking[] {
  const search = KitSearch.forLedger(indexLedger({ ...ledger, gramsPerHour }))
  const { problem } = search
  const { items, events, hoursPerGram } = problem.ledger
  const counts = items.map(({ id }) => carried[id] ?? 0)
  const promise = search.settled(counts)
  const before = promise.hoursByStream()
  const isThought = (item: number) => nth(things, item).isThought
  const tried = new Map<string, Change[]>()
  for (const way of problem.ways) {
    for (const uses of [0, 1]) {
      const changes = lackingParts(problem, counts, way, uses)
      if (changes?.some(({ item }) => isThought(item))) tried.set(keyOf(changes), changes)
    }
  }
  const lacking = [...tried.values()].map((changes): Lacking => {
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
    const pieces = (thought: boolean) =>
      changes
        .filter(({ item }) => isThought(item) === thought)
        .map(({ item, by }): Piece => ({ id: nth(things, item).id, count: by }))
    return {
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
  })
  return worthMostFirst(lacking)
}

/** Those that spare anything to speak of, the one worth most first; of those that hold all of another and spare no more, none. */
function worthMostFirst(tried: readonly Lacking[]): Lacking[] {
  const worthwhile = tried
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
