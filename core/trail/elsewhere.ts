import type { Thing } from '../bench'
import type { Reference } from '../reference'
import { onwardOf, ridersAt, type Onward, type RideOnTheWay } from './onward'
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
 * The ids of the riders who are at a place: who rides there and is not elsewhere. Where nobody would be, all who ride there are,
 * or all: a ride without riders is none.
 */
export function presentAt(
  { trip, survey, position }: Pick<RideOnTheWay, 'trip' | 'survey' | 'position'>,
  elsewhere: readonly Pick<RiderElsewhere, 'rider'>[],
): string[] {
  const riders = ridersAt(trip, survey, position.roadKm)
  const all = riders.length > 0 ? riders : trip.crew.map(({ id }) => id)
  const present = all.filter((id) => elsewhere.every(({ rider }) => rider !== id))
  return present.length > 0 ? present : all
}

/**
 * A ride at the place where riders are, as a failure is met there: who is there is there, and nobody else. No passer-by has come
 * yet, and nobody of them is out of reach.
 *
 * @param more things that are thought to be there as well
 */
export function atThePlace(
  ride: RideOnTheWay,
  reference: Reference,
  present: readonly string[],
  more: readonly Thing[] = [],
): Onward {
  const { trip } = ride
  const there = {
    ...trip,
    ride: { ...trip.ride, apart: 0 },
    road: { ...trip.road, stretches: trip.road.stretches.map((stretch) => ({ ...stretch, apart: null })) },
    dials: { ...trip.dials, helper: 0 },
  }
  return onwardOf({ ...ride, trip: there }, reference, present, more)
}

/**
 * What to do about a failure with the riders who are there, and for whom of the others it is worth to wait: their bags and hands
 * then count too.
 *
 * @param here the place, with those who are there (`atThePlace`)
 * @returns those for whom it is worth it, the one that spares most first
 */
export function triageAmong(
  here: Onward,
  ride: RideOnTheWay,
  reference: Reference,
  failing: Failing,
  elsewhere: readonly RiderElsewhere[],
): { readonly now: Triage; readonly waiting: readonly WorthWaiting[] } {
  const present = here.trip.crew.map(({ id }) => id)
  const now = triage(here, failing)
  const mine = new Set(here.trip.bench.map(({ id }) => id))
  const waiting = elsewhere.flatMap(({ rider, hoursOff }): WorthWaiting[] => {
    const then = triage(atThePlace(ride, reference, [...present, rider]), failing)
    const sparesH = now.expectedH - then.expectedH - hoursOff
    const theirs = then.ways[0]?.takes.flatMap(({ thing }) => (mine.has(thing) ? [] : [thing])) ?? []
    return sparesH > 0 ? [{ rider, hoursOff, then, sparesH, theirs }] : []
  })
  return { now, waiting: waiting.sort((a, b) => b.sparesH - a.sparesH) }
}
