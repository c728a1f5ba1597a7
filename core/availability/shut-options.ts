import type { Reference } from '../reference'
import { nightAt, setNights, sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import type { Stop } from '../supply'
import { cutTo } from '../validation'
import { Resupply, type Supplied } from './resupply'
import { mostWaitAt } from './waits'

/** What one may do at a stop where something is shut when one comes by. */
export type ShutChoice =
  | { readonly kind: 'ride on' }
  | { readonly kind: 'wait'; readonly hours: number; readonly service: string }
  | { readonly kind: 'sleep' }

/** A choice, whether it is the one that is made, and the plan with it. */
export interface ShutOption<T extends Supplied> {
  readonly choice: ShutChoice
  readonly isMade: boolean
  readonly plan: T
}

/** The longest wait that can be settled on; who would wait longer sleeps there. */
const longestWaitH = 72

/**
 * What can be done about services that are shut when one comes by a stop without staying there: ride on, wait for one of
 * them, sleep there.
 *
 * @returns none where nothing is shut then, or where nobody knows when one comes by
 */
export function shutOptions<T extends Supplied>(
  trip: T,
  survey: Survey,
  reference: Reference,
  stopId: string,
  book: OpeningCache = sharedOpeningCache,
): ShutOption<T>[] {
  const stop = trip.stops.find(({ id }) => id === stopId)
  if (!stop || trip.ride.start === null) return []
  const isSleeping = nightAt(trip.ride.nights, bedAt(stop)) !== undefined
  const planned = (waitH: Stop['waitH'], nights: number): T => withStayAt(trip, stop, waitH, nights)
  const passing = new Resupply(planned(null, 0), survey, reference, book)
  const shut = stop.services.flatMap((service) => {
    const visit = passing.visitTo(service)
    return visit?.found === 'shut' ? [{ service: service.kind, waitH: visit.waitH }] : []
  })
  if (shut.length === 0) return []
  const waits = shut.flatMap(({ service, waitH }) => {
    const hours = waitH === null ? Infinity : Math.ceil(waitH * 4) / 4
    return hours <= longestWaitH ? [{ kind: 'wait', hours, service } as const] : []
  })
  // Who waits for the later one has waited for the earlier ones as well.
  const apart = waits.sort((a, b) => a.hours - b.hours).filter(({ hours }, i) => hours !== waits[i - 1]?.hours)
  const usualH = trip.dials.waitH
  const waited = isSleeping ? undefined : apart.findLast(({ hours }) => hours <= mostWaitAt(stop, trip.dials))
  const shortest = apart[0]?.hours ?? Infinity
  return [
    {
      choice: { kind: 'ride on' },
      isMade: !isSleeping && !waited,
      plan: planned(shortest <= usualH ? 0 : null, 0),
    },
    ...apart.map((choice) => ({ choice, isMade: choice === waited, plan: planned(choice.hours, 0) })),
    { choice: { kind: 'sleep' }, isMade: isSleeping, plan: planned(stop.waitH, 1) },
  ]
}

const bedAt = ({ id, roadKm }: Stop) => ({ roadKm, stop: id })

/** A trip with so long a wait at a stop for what is shut, null for as long as anywhere, and so many nights there. */
export const withStayAt = <T extends Pick<Supplied, 'stops' | 'ride'>>(
  trip: T,
  stop: Stop,
  waitH: Stop['waitH'],
  nights: number,
): T => ({
  ...trip,
  stops: trip.stops.map((other) => (other.id === stop.id ? { ...stop, waitH } : other)),
  ride: { ...trip.ride, nights: setNights(trip.ride.nights, bedAt(stop), nights, cutTo(`night-${stop.id}`, 60)) },
})
