import { indexLedger, type LedgerFix } from '../ledger'
import { entry } from '../maths'
import { demandOf, PromiseEvaluator } from '../promise'
import type { Reference } from '../reference'
import type { Trip } from '../trip'
import { fixOf, type LedgerOfTrip } from '../trip-ledger'
import { defined, nth } from '../validation'
import type { KitSheet } from './kit-sheet'

/** A thing that a fix takes, and where it is packed. */
export interface ThingTaken {
  readonly name: string
  /** The bag, and the bike that it hangs on; null where it is packed nowhere. */
  readonly where: { readonly bike: string; readonly place: string } | null
}

/** One way to mend something with the kit. */
export interface FixOnCard {
  readonly fix: string
  readonly times: number
  readonly minutes: number
  readonly things: readonly ThingTaken[]
}

/** What to do when something fails: the ways the kit has for it, the one that is tried most first. */
export interface FailureCard {
  readonly hazard: string
  readonly bikeId: string
  /** How often it comes on the trip, in the mean, and the hours that it would cost with nothing carried. */
  readonly times: number
  readonly atStakeH: number
  readonly fixes: readonly FixOnCard[]
}

/** How often a fix of the catalogue is tried in all its ways, and the way in which it is tried most. */
interface Tried {
  readonly fix: LedgerFix
  readonly most: number
  readonly times: number
}

/** So many failures have a card, and so many ways to mend each. */
const mostCards = 10
const mostFixes = 3

/**
 * Cards for the failures on which most hours hang, bike by bike, with what the kit does about them.
 *
 * @param counts how many of each thing of the bench come along
 * @param kits where each is packed
 */
export function failureCards(
  trip: Trip,
  { ledger, notes }: LedgerOfTrip,
  reference: Pick<Reference, 'fixes'>,
  counts: readonly number[],
  kits: readonly KitSheet[],
): FailureCard[] {
  const indexed = indexLedger(ledger)
  const demand = demandOf(indexed)
  const promise = new PromiseEvaluator(indexed, demand).settled(counts)
  const fixesOf = new Map(ledger.events.map(({ id, fixes }) => [id, fixes]))
  const cards = new Map<string, { card: Omit<FailureCard, 'fixes'>; tried: Map<string, Tried> }>()
  demand.streams.forEach((stream, number) => {
    const note = defined(notes.find(({ event }) => event === stream.event.id))
    const key = `${note.hazard} ${note.bike}`
    const known = entry(cards, key, () => ({
      card: { hazard: note.hazard, bikeId: note.bike, times: 0, atStakeH: 0 },
      tried: new Map<string, Tried>(),
    }))
    known.card = {
      ...known.card,
      times: known.card.times + stream.expectedInAll,
      atStakeH: known.card.atStakeH + stream.hoursAtStake,
    }
    promise.account(number).fixes.forEach(({ tried }, f) => {
      // A ledger in use may have its fixes in another order than the written one.
      const { id: written } = nth(stream.event.fixes, f)
      const fix = defined(fixesOf.get(note.event)?.find((each) => each.id === written))
      const id = fixOf(fix.id)
      const before = known.tried.get(id)
      // Of several pumps the one that is used most stands on the card.
      const isMost = before === undefined || tried > before.most
      known.tried.set(id, {
        fix: isMost ? fix : before.fix,
        most: isMost ? tried : before.most,
        times: (before?.times ?? 0) + tried,
      })
    })
  })
  const whereOf = placesOf(kits)
  return [...cards.values()]
    .sort((a, b) => b.card.atStakeH - a.card.atStakeH)
    .slice(0, mostCards)
    .map(({ card, tried }) => ({
      ...card,
      fixes: [...tried]
        .filter(([, { times }]) => times > 0)
        .sort(([, a], [, b]) => b.times - a.times)
        .slice(0, mostFixes)
        .map(([fix, { times, fix: how }]) => ({
          fix,
          times,
          minutes: reference.fixes.find(({ id }) => id === fix)?.minutes ?? 0,
          things: thingsFor(how).map((name) => ({ name, where: whereOf(name) })),
        })),
    }))

  /** What of the kit a fix takes: one thing for each function, and all that it uses up. */
  function thingsFor({ needs, uses }: LedgerFix): string[] {
    const carried = ledger.items.flatMap((item, i) => (nth(counts, i) > 0 ? [{ item, thing: nth(trip.bench, i) }] : []))
    const tools = needs.flatMap((need) => carried.find(({ item }) => item.provides.includes(need))?.thing.name ?? [])
    const used = Object.keys(uses).flatMap(
      (stock) => carried.find(({ item }) => item.units[stock] !== undefined)?.thing.name ?? [],
    )
    return [...new Set([...used, ...tools])]
  }
}

function placesOf(kits: readonly KitSheet[]) {
  const places = new Map(
    kits
      .flatMap(({ bike, places: filled }) =>
        filled.flatMap(({ name: place, lines }) => lines.map(({ name }) => [name, { bike, place }] as const)),
      )
      .reverse(),
  )
  return (name: string) => places.get(name) ?? null
}
