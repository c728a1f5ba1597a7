import { availabilityOf, type StopAvailability } from '../availability'
import type { Thing } from '../bench'
import { indexLedger } from '../ledger'
import { inOrder, type CarriedPieces } from '../log'
import type { Reference } from '../reference'
import { formatWallClock } from '../ride'
import { KitSearch } from '../search'
import { cutTo, nth } from '../validation'
import { onwardOf, ridersAt, type Onward, type RideOnTheWay } from './onward'
import { isTrusted } from './ahead'
import { whatIsLeft, type KitLeft } from './what-is-left'

/** What is to be bought at a stop ahead. */
export interface Purchase {
  /** The thing of the bench that runs low, or was planned to be bought there. */
  readonly thing: string
  /** The class, and so much of it in its unit. */
  readonly classId: string
  readonly amount: number
  readonly isPlanned: boolean
  readonly place: StopAvailability
  /** Hours that it spares on the road behind that stop, by itself. */
  readonly sparesH: number
}

/** What is to be bought at one stop. */
export interface Restock {
  readonly stop: string
  readonly name: string
  readonly roadKm: number
  readonly purchases: readonly Purchase[]
  /** The chance to be stranded on the road behind that stop: with what there is, and with all of it bought. */
  readonly strandedWithout: number
  readonly strandedWith: number
}

/** Something of which there was more. */
interface Missing {
  readonly thing: Thing
  readonly classId: string
  readonly amount: number
}

/** So many stops ahead are told of. */
const mostStops = 3
/** What spares less than this is not worth a line, h. */
const leastSparesH = 0.002
/** Less than this of a stock is nothing. */
const leastAmount = 1e-6

/**
 * What has run low and where it is had next, with what buying it there spares on the road behind; and what was planned to be
 * bought on the way. What spares nothing to speak of is not told, unless it was planned.
 *
 * @param planned who carries what while nobody has said what they set off with
 * @param onward the rest of the ride with the riders who are there
 */
export function restock(
  ride: RideOnTheWay,
  reference: Reference,
  planned: readonly CarriedPieces[],
  onward: Onward,
): Restock[] {
  const { fromKm = 0 } = onward.trip
  const { bench, log } = ride.trip
  const atStart = whatIsLeft({ bench, log: log.filter(({ kind }) => kind === 'set off') }, planned, reference)
  const missing = [...usedUp(atStart, ride.kit), ...toBeBought(ride)]
  const found = missing.flatMap((each) => {
    const { boughtAt } = each.thing
    const places = availabilityOf(onward.costs, onward.trip, each.classId).places.filter(
      ({ roadKm, stop }) => roadKm >= fromKm && (boughtAt === null || stop === boughtAt),
    )
    const place = places.find(({ finding }) => isTrusted(finding)) ?? places[0]
    return place ? [{ ...each, place }] : []
  })
  const stops = [...new Map(found.map(({ place }) => [place.stop, place])).values()]
    .sort((a, b) => a.roadKm - b.roadKm)
    .slice(0, mostStops)
  return stops.flatMap(({ stop, name, roadKm }): Restock[] => {
    const here = found.filter(({ place }) => place.stop === stop)
    const bought = here.map(({ thing, classId, amount }, i): Thing => {
      const pieces = Math.max(1, Math.ceil(amount / (thing.units[classId] ?? 1) - leastAmount))
      const free = { pin: null, boughtAt: null, carriedBy: {}, packedIn: [], count: pieces, owned: pieces }
      return { ...thing, ...free, id: cutTo(`bought ${i} ${thing.id}`, 60), units: { [classId]: amount / pieces } }
    })
    const leaves = onward.costs.timetable?.stayAt(roadKm).leaves
    const at = leaves === undefined ? ride.position.at : formatWallClock(leaves)
    const riders = ridersAt(ride.trip, ride.survey, roadKm)
    const there = onwardOf({ ...ride, position: { roadKm, at } }, reference, riders, bought)
    const search = KitSearch.forLedger(indexLedger(there.laid.ledger))
    const kept = there.trip.bench.length - bought.length
    const countsWith = (isBought: (i: number) => boolean) =>
      there.trip.bench.map(({ count }, i) => (i < kept || isBought(i - kept) ? count : 0))
    const without = search.choice(countsWith(() => false))
    const purchases = here.map(({ thing, classId, amount, place }, i): Purchase => ({
      thing: thing.id,
      classId,
      amount,
      isPlanned: thing.boughtAt !== null,
      place,
      sparesH: without.promiseH - search.choice(countsWith((other) => other === i)).promiseH,
    }))
    const worthwhile = purchases.filter(({ isPlanned, sparesH }) => isPlanned || sparesH > leastSparesH)
    if (worthwhile.length === 0) return []
    const all = search.choice(countsWith((i) => worthwhile.includes(nth(purchases, i))))
    return [
      {
        stop,
        name,
        roadKm,
        purchases: worthwhile.sort((a, b) => b.sparesH - a.sparesH),
        strandedWithout: without.stranded,
        strandedWith: all.stranded,
      },
    ]
  })
}

/**
 * Of what there is less than riders set off with: of a class as a whole, so that what was bought again, whatever it is called,
 * counts for what was used. Of things that are no stock a shop knows nothing.
 */
function usedUp(atStart: KitLeft, now: KitLeft): Missing[] {
  const amountIn = ({ left }: KitLeft, classId: string, thing?: string) =>
    left.reduce(
      (sum, pieces) => (thing === undefined || pieces.thing === thing ? sum + (pieces.amounts[classId] ?? 0) : sum),
      0,
    )
  const classes = new Set(atStart.things.flatMap(({ units }) => Object.keys(units)))
  return [...classes].flatMap((classId) => {
    let lacking = amountIn(atStart, classId) - amountIn(now, classId)
    return atStart.things.flatMap((thing): Missing[] => {
      const amount = Math.min(lacking, amountIn(atStart, classId, thing.id) - amountIn(now, classId, thing.id))
      if (amount <= leastAmount) return []
      lacking -= amount
      // It is had wherever it is had first, whatever was planned.
      return [{ thing: { ...thing, boughtAt: null }, classId, amount }]
    })
  })
}

/** What was planned to be bought on the way, and was not yet. */
function toBeBought({ trip }: RideOnTheWay): Missing[] {
  const got = new Set(inOrder(trip.log).flatMap((entry) => (entry.kind === 'got' && entry.thing ? [entry.thing] : [])))
  return trip.bench
    .filter(({ id, boughtAt }) => boughtAt !== null && !got.has(id))
    .flatMap((thing) =>
      Object.entries(thing.units).map(([classId, each]) => ({ thing, classId, amount: each * thing.count })),
    )
}
