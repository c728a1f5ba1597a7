import { CostsOfFailing, hereKm, type TakenUp } from '../availability'
import type { Thing } from '../bench'
import { ridesFromTo } from '../crew'
import type { Reference } from '../reference'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { writeLedger, type LedgerOfTrip } from '../trip-ledger'
import { nth } from '../validation'
import { wornSoFar } from './worn-so-far'
import type { KitLeft } from './what-is-left'

/** Where riders are on their road, and when. */
export interface RoadPosition {
  readonly roadKm: number
  /** By the clock on the wall: "2026-06-14T15:40". */
  readonly at: string
}

/** A ride on its way: the plan, where riders are, and what they still have along. */
export interface RideOnTheWay {
  readonly trip: Trip
  readonly survey: Survey
  /** The ledger of the whole plan, or of what wears on it (`wearOf`), for what is worn by now. */
  readonly laid: LedgerOfTrip
  readonly kit: KitLeft
  readonly position: RoadPosition
}

/** A plan from some place on, with what is left of its kit. */
export interface Onward {
  readonly trip: Trip & TakenUp
  /** Its first leg is the place itself; the others are what is left of the road. */
  readonly laid: LedgerOfTrip
  readonly costs: CostsOfFailing
}

/** The ids of the riders who ride with the others at a place: who have joined, and not left. */
export const ridersAt = (
  { crew, stops }: Pick<Trip, 'crew' | 'stops'>,
  { lengthKm }: Survey,
  roadKm: number,
): string[] =>
  crew
    .filter((rider) => {
      const [from, to] = ridesFromTo(rider, stops, lengthKm)
      return from <= roadKm && roadKm <= to
    })
    .map(({ id }) => id)

/**
 * The rest of a plan: its road from where riders are, with what they still have along, and with bikes worn by what is behind.
 *
 * @param present the ids of the riders who are there: nobody else's bags, hands and bikes count
 * @param more things that are thought to be there as well
 */
export function onwardOf(
  { trip, survey, laid, kit, position }: RideOnTheWay,
  reference: Reference,
  present: readonly string[],
  more: readonly Thing[] = [],
): Onward {
  const crew = trip.crew.filter(({ id }) => present.includes(id))
  const ridden = new Set(crew.map(({ bikeId }) => bikeId))
  const others = new Set(trip.crew.map(({ bikeId }) => bikeId).filter((id) => !ridden.has(id)))
  const isAhead = (stopId: string | null) =>
    trip.stops.some(({ id, roadKm }) => id === stopId && roadKm > position.roadKm)
  const rest: Trip & TakenUp = {
    ...trip,
    fromKm: Math.max(0, Math.min(position.roadKm, survey.lengthKm - hereKm)),
    ride: { ...trip.ride, start: position.at },
    // Whoever is here has joined, and has not left, whatever was planned.
    crew: crew.map((rider) => ({ ...rider, joins: null, leaves: isAhead(rider.leaves) ? rider.leaves : null })),
    bikes: trip.bikes.filter(({ id }) => !others.has(id)),
    bench: [...benchWith(kit, present), ...more],
  }
  const costs = new CostsOfFailing(rest, survey, reference)
  const written = writeLedger(rest, survey, reference, costs)
  const worn = wornSoFar(laid, trip.log, reference, position.roadKm)
  const events = written.ledger.events.map((event, e) =>
    event.wear ? { ...event, wear: { ...event.wear, left: worn(nth(written.notes, e), event.wear.left) } } : event,
  )
  return { trip: rest, laid: { ...written, ledger: { ...written.ledger, events } }, costs }
}

/** What some riders have along, as a bench of which all is taken. */
function benchWith({ things, left }: KitLeft, riders: readonly string[]): Thing[] {
  return things.flatMap((thing) => {
    const mine = left.filter((pieces) => pieces.thing === thing.id && riders.includes(pieces.rider))
    const count = mine.reduce((sum, pieces) => sum + pieces.count, 0)
    if (count === 0) return []
    const units = Object.entries(thing.units).flatMap(([stock]): [string, number][] => {
      const amount = mine.reduce((sum, { amounts }) => sum + (amounts[stock] ?? 0), 0)
      return amount > 0 ? [[stock, amount / count]] : []
    })
    const free = { pin: null, boughtAt: null, carriedBy: {}, packedIn: [] }
    return [{ ...thing, ...free, count, owned: count, units: Object.fromEntries(units) }]
  })
}
