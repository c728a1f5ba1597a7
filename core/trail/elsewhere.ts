import type { Reference } from '../reference'
import type { Trip } from '../trip'
import { onwardOf, type RideOnTheWay } from './onward'
import { triage, type Failing, type Triage } from './triage'

/** A rider of the crew who is somewhere else on the road. */
export interface RiderElsewhere {
  readonly rider: string
  /** Hours until they and their bags are here, or one is with them. */
  readonly hoursOff: number
}

/** What it would change to wait for somebody, or to go to them. */
export interface WorthWaiting extends RiderElsewhere {
  readonly then: Triage
  /** Hours less than without them, the wait taken off. */
  readonly sparesH: number
  /** What of theirs the first way takes; nothing where it is their hands. */
  readonly theirs: readonly string[]
}

/**
 * What to do about a failure with the riders who are there, and for whom of the others it is worth to wait: their bags and hands
 * then count too.
 *
 * @param present the ids of the riders who are there
 * @returns those for whom it is worth it, the one that spares most first
 */
export function triageAmong(
  ride: RideOnTheWay,
  reference: Reference,
  failing: Failing,
  present: readonly string[],
  elsewhere: readonly RiderElsewhere[],
): { readonly now: Triage; readonly waiting: readonly WorthWaiting[] } {
  const { left } = ride.kit
  const there = { ...ride, trip: atThePlace(ride.trip) }
  const triageWith = (riders: readonly string[]) => triage(onwardOf(there, reference, riders), failing)
  const now = triageWith(present)
  const mine = new Set(left.flatMap(({ rider, thing }) => (present.includes(rider) ? [thing] : [])))
  const waiting = elsewhere.flatMap(({ rider, hoursOff }): WorthWaiting[] => {
    const then = triageWith([...present, rider])
    const sparesH = now.expectedH - then.expectedH - hoursOff
    const theirs = then.ways[0]?.takes.flatMap(({ thing }) => (mine.has(thing) ? [] : [thing])) ?? []
    return sparesH > 0 ? [{ rider, hoursOff, then, sparesH, theirs }] : []
  })
  return { now, waiting: waiting.sort((a, b) => b.sparesH - a.sparesH) }
}

/** Who is at a place is there, and nobody else: no passer-by has come yet, and nobody of them is out of reach. */
const atThePlace = (trip: Trip): Trip => ({
  ...trip,
  ride: { ...trip.ride, apart: 0 },
  road: { ...trip.road, stretches: trip.road.stretches.map((stretch) => ({ ...stretch, apart: null })) },
  dials: { ...trip.dials, helper: 0 },
})
