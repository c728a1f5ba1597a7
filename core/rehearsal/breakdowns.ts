import { formatWallClock, type Timetable } from '../ride'
import { FailureDraws, keyUnder } from '../simulate'
import { indexLedger } from '../ledger'
import type { Failing } from '../trail'
import type { LedgerOfTrip } from '../trip-ledger'
import { defined, nth } from '../validation'

/** Something that fails on a trip that is only played. */
export interface Breakdown {
  readonly roadKm: number
  /** By the clock on the wall. */
  readonly at: string
  readonly failing: Failing
  /** Whatever else is drawn of it hangs on this. */
  readonly key: number
}

/** A day in summer, for a ride that has none. */
const anyDay = '2026-06-12T10:00'

/**
 * Draws what fails on a trip, in the order of the road: the same for the same seed, and as often in the mean as the ledger
 * expects.
 *
 * @param seed a whole number
 */
export function drawBreakdowns(
  { ledger, notes, edges }: LedgerOfTrip,
  timetable: Timetable | undefined,
  seed: number,
): Breakdown[] {
  const indexed = indexLedger(ledger)
  const draws = new FailureDraws(indexed)
  draws.begin(keyUnder(seed, 0))
  const noteOf = new Map(notes.map((note) => [note.event, note]))
  return Array.from({ length: indexed.legs }, (_, leg) => leg).flatMap((leg) =>
    draws.on(leg).map(({ event, at, key }): Breakdown => {
      const { hazard, bike, wheel, fastener } = defined(noteOf.get(nth(indexed.events, event).id))
      const [from, to] = [nth(edges, leg), nth(edges, leg + 1)]
      const roadKm = from + at * (to - from)
      const clock = timetable ? formatWallClock(timetable.clockAt(roadKm)) : anyDay
      return { roadKm, at: clock, failing: { hazard, bikeId: bike, wheel, fastener }, key }
    }),
  )
}
