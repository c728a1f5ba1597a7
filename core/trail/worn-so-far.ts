import type { CostsOfFailing } from '../availability'
import type { LedgerEvent } from '../ledger'
import type { Log } from '../log'
import type { Reference } from '../reference'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { writeLedger, type EventNote, type LedgerOfTrip } from '../trip-ledger'
import { nth } from '../validation'

/** What has outlived the life it was given still has some left: nobody knows how much. Planning value. */
const leastLeft = 0.05

/**
 * The ledger of a plan with what wears on it alone, and without what mends it: all that it takes to know how worn bikes are
 * somewhere, in a fraction of the time.
 */
export const wearOf = (trip: Trip, survey: Survey, reference: Reference, costs: CostsOfFailing): LedgerOfTrip =>
  writeLedger(
    trip,
    survey,
    { ...reference, hazards: reference.hazards.filter(({ kind }) => kind === 'wearing'), fixes: [] },
    costs,
  )

/** What fails, where: enough of a note to know its event by. */
type Where = Pick<EventNote, 'event' | 'hazard' | 'bike' | 'wheel'>

/**
 * What parts that wear have used up of their lives: at departure, and since then or since they were made new, by the log or at a
 * shop on the way that is trusted to have them. It may be more than one: nobody knows a life beforehand.
 *
 * @param laid the ledger of the whole plan
 */
export function livesUsed({ ledger, edges }: LedgerOfTrip, log: Log, { fixes }: Reference, roadKm: number) {
  const events = new Map(ledger.events.map((event) => [event.id, event]))
  const lasting = new Set(fixes.filter(({ grade }) => grade === 'lasting').map(({ id }) => id))

  /** Where a part was made new last, km; nothing where it is the one that one set off with. */
  function renewedAt({ hazard, bike, wheel }: Where, { wear }: LedgerEvent): number | undefined {
    const byLog = log.flatMap((entry) => {
      if (entry.roadKm === null) return []
      if (entry.kind === 'evening')
        return entry.renewed.some((each) => each.hazard === hazard && each.bikeId === bike) ? [entry.roadKm] : []
      if (entry.kind !== 'renewed' && entry.kind !== 'failed') return []
      const isHere = entry.hazard === hazard && entry.bikeId === bike && (entry.wheel ?? wheel) === wheel
      const isNew =
        entry.kind === 'renewed' ||
        entry.tries.some(({ fix, held }) => fix !== null && held !== false && lasting.has(fix))
      return isHere && isNew ? [entry.roadKm] : []
    })
    const bought = (wear?.freshAtLegs ?? []).map((leg) => nth(edges, leg))
    const behind = [...byLog, ...bought].filter((km) => km <= roadKm)
    return behind.length > 0 ? Math.max(...behind) : undefined
  }

  return (where: Where): number | undefined => {
    const event = events.get(where.event)
    if (!event?.wear) return undefined
    const { lives, left } = event.wear
    const from = renewedAt(where, event)
    const used = lives.reduce((sum, lived, leg) => {
      const [begins, ends] = [nth(edges, leg), nth(edges, leg + 1)]
      const km = Math.min(ends, roadKm) - Math.max(begins, from ?? 0)
      return km > 0 ? sum + (lived * km) / (ends - begins) : sum
    }, 0)
    return (from === undefined ? 1 - left : 0) + used
  }
}

/** What is left of parts that wear at a place, of the life that each had. @param laid the ledger of the whole plan */
export function wornSoFar(laid: LedgerOfTrip, log: Log, reference: Reference, roadKm: number) {
  const usedOf = livesUsed(laid, log, reference, roadKm)
  return (where: Where, atDeparture: number): number => {
    const used = usedOf(where)
    return used === undefined ? atDeparture : Math.max(leastLeft, 1 - used)
  }
}
