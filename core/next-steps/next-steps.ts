import equal from 'fast-deep-equal'
import { assumedKind, type Bike } from '../bike'
import type { Reference } from '../reference'
import { formatWallClock, parseWallClock } from '../ride'
import { withProposals, type Proposal, type ServiceKind } from '../supply'
import type { Trip } from '../trip'

/** What a plan still lacks. */
export type Lack =
  | { readonly kind: 'assumed bikes'; readonly bikes: readonly string[] }
  | { readonly kind: 'no stops' }
  | { readonly kind: 'proposals'; readonly count: number; readonly stops: readonly string[] }
  | { readonly kind: 'no hours'; readonly stops: readonly string[] }
  | { readonly kind: 'no start' }
  | { readonly kind: 'empty bench' }

/** Something that a plan lacks, with the plans that it may turn out to be once it is known. */
export interface NextStep {
  readonly lack: Lack
  readonly plans: readonly Trip[]
}

/** Days of the week on which most is open, and on which much is shut: the 15th of June 2026 is a Monday. */
const [weekday, weekend] = ['2026-06-15', '2026-06-20'] as const
const usualMorning = '08:00'

/**
 * What a plan lacks of what its answers hang on, in the order of the work.
 *
 * A shop without hours may be open or shut: the other plan is the one without it. Proposals may hold: the other plan is the
 * one with all of them. A ride without a start may begin on a weekday or for a weekend. A bike of which nobody has said
 * anything may be of any kind; once something was laid, it was laid for the bike that there is.
 *
 * @param proposals what stops seem to have and nobody has said so far
 * @returns none where there is no road yet: all hangs on that
 */
export function nextSteps(trip: Trip, reference: Reference, proposals: readonly Proposal[]): NextStep[] {
  if (trip.road.points.length === 0) return []
  const { stops, ride, bench, bikes } = trip
  const assumed = bench.length > 0 ? [] : assumedBikes(bikes, reference)
  const hasNone = stops.every(({ services }) => services.length === 0)
  const unknown = servicesWithoutHours(trip, reference)
  const starting = (day: string): Trip => ({
    ...trip,
    ride: { ...ride, start: formatWallClock(parseWallClock(`${day}T${usualMorning}`)) },
  })
  return [
    ...(proposals.length > 0
      ? [
          {
            lack: {
              kind: 'proposals' as const,
              count: proposals.length,
              stops: [...new Set(proposals.map(({ stop }) => stop.id))],
            },
            plans: [{ ...trip, stops: withProposals(stops, proposals) }],
          },
        ]
      : hasNone
        ? [{ lack: { kind: 'no stops' as const }, plans: [] }]
        : []),
    ...(unknown.size > 0 && ride.start !== null
      ? [{ lack: { kind: 'no hours' as const, stops: [...unknown.keys()] }, plans: [without(trip, unknown)] }]
      : []),
    ...(ride.start === null
      ? [{ lack: { kind: 'no start' as const }, plans: [starting(weekday), starting(weekend)] }]
      : []),
    ...(assumed.length > 0
      ? [{ lack: { kind: 'assumed bikes' as const, bikes: assumed }, plans: onOtherKinds(trip, assumed, reference) }]
      : []),
    ...(bench.length === 0 ? [{ lack: { kind: 'empty bench' as const }, plans: [] }] : []),
  ]
}

/**
 * Hours that hang on what a plan lacks: by how much what one loses differs at most from plan to plan; of an empty bench, all
 * that is lost bare-handed.
 *
 * @param nowH hours lost by the plan as it stands, with the best kit for it
 * @param plansH the same of each plan of the step
 */
export function hoursHangingOn({ lack }: Pick<NextStep, 'lack'>, nowH: number, plansH: readonly number[]): number {
  if (lack.kind === 'empty bench') return nowH
  return Math.max(0, ...plansH.map((hours) => Math.abs(hours - nowH)))
}

/** The bikes of which nobody has said anything: they are as the reference has them. */
function assumedBikes(bikes: readonly Bike[], reference: Reference): string[] {
  const usual = reference.bikes.find(({ kind }) => kind === assumedKind)
  return bikes.filter((bike) => usual && equal(bike, { ...usual, id: bike.id })).map(({ id }) => id)
}

/** The plans with those bikes of each other kind. */
const onOtherKinds = (trip: Trip, assumed: readonly string[], reference: Reference): Trip[] =>
  reference.bikes
    .filter(({ kind }) => kind !== assumedKind)
    .map((other) => ({
      ...trip,
      bikes: trip.bikes.map((bike) => (assumed.includes(bike.id) ? { ...other, id: bike.id } : bike)),
    }))

/** Kinds of service that are shut at times, and matter to a bike, of which nobody has said when; by their stops. */
function servicesWithoutHours({ stops }: Trip, { services }: Reference): Map<string, ReadonlySet<string>> {
  const mattering = new Set(services.filter(hasSomething).map(({ id }) => id))
  return new Map(
    stops.flatMap(({ id, services: offered }) => {
      const kinds = offered.filter(({ kind, hours }) => mattering.has(kind) && hours.trim() === '')
      return kinds.length > 0 ? [[id, new Set(kinds.map(({ kind }) => kind))] as const] : []
    }),
  )
}

const hasSomething = ({ mends, stocks }: ServiceKind) => mends || Object.keys(stocks).length > 0

function without(trip: Trip, gone: ReadonlyMap<string, ReadonlySet<string>>): Trip {
  return {
    ...trip,
    stops: trip.stops.map((stop) => ({
      ...stop,
      services: stop.services.filter(({ kind }) => !gone.get(stop.id)?.has(kind)),
    })),
  }
}
