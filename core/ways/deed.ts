import { withStayAt } from '../availability'
import { practised, unpractised } from '../crew'
import { withJob, withoutJob } from '../jobs'
import { setTraits } from '../road'
import { isPostedTo, type Service, type Stop } from '../supply'
import { openTask, type Task } from '../task'
import type { Trip } from '../trip'

/** Something that one can do about a risk, and that weighs nothing. */
export type Deed =
  /** A job on a bike at home. */
  | { readonly kind: 'job'; readonly bikeId: string; readonly jobId: string }
  /** An evening of practice. */
  | { readonly kind: 'practice'; readonly riderId: string; readonly techniqueId: string }
  /** A part posted ahead to oneself. */
  | { readonly kind: 'parcel'; readonly stopId: string; readonly service: string; readonly classId: string }
  /** A thing of the bench that is bought on the way, and does not come along from the start. */
  | { readonly kind: 'buy'; readonly stopId: string; readonly thingId: string }
  /** A question to a place: whether it has a part, or whether it is there at all. */
  | { readonly kind: 'ask'; readonly stopId: string; readonly service: string; readonly classId: string | null }
  /** A wait, should there be need, until a place opens. */
  | { readonly kind: 'wait'; readonly stopId: string; readonly service: string; readonly hours: number }
  /** A night where something is shut when one comes by. */
  | { readonly kind: 'sleep'; readonly stopId: string }
  /** A big wrench that may be borrowed. */
  | { readonly kind: 'borrow'; readonly stopId: string }
  /** Riding within reach of one another. */
  | { readonly kind: 'together' }
export type DeedKind = Deed['kind']

/** What of a plan a deed makes other. */
export type Doable = Pick<Trip, 'bikes' | 'crew' | 'stops' | 'ride' | 'road' | 'bench'>
export type Change = Partial<Doable>

/** What is known beside the plan. */
interface Beside {
  readonly lengthKm: number
  /** Gives a fresh id where a stretch of the road is cut in two. */
  readonly newId: () => string
}

/** A deed by its name: no two of a plan have the same. */
export const deedKey = (deed: Deed): string => Object.values(deed).join(' ')

/** Whether a plan has a deed already. */
export function isPlanned(trip: Doable, deed: Deed): boolean {
  const stop = 'stopId' in deed ? trip.stops.find(({ id }) => id === deed.stopId) : undefined
  switch (deed.kind) {
    case 'job':
      return trip.bikes.some(
        ({ id, jobs }) => id === deed.bikeId && jobs.some((each) => each.job === deed.jobId && !isLeft(each)),
      )
    case 'practice':
      return trip.crew.some(
        ({ id, practice }) =>
          id === deed.riderId && practice.some((each) => each.technique === deed.techniqueId && !isLeft(each)),
      )
    case 'parcel':
      return Boolean(
        stop?.services.some((service) => service.kind === deed.service && isPostedTo(service, deed.classId)),
      )
    case 'buy':
      return trip.bench.some(({ id, boughtAt }) => id === deed.thingId && boughtAt === deed.stopId)
    case 'wait':
      return stop?.waitH === deed.hours
    case 'sleep':
      return stop !== undefined && trip.ride.nights.some((night) => night.stop === stop.id)
    case 'borrow':
      return Boolean(stop?.bigWrench)
    case 'together':
      return !isApart(trip)
    case 'ask':
      return false
  }
}

/** What was left undone is planned no more. */
const isLeft = ({ state }: Pick<Task, 'state'>) => state === 'left'

/** Whether riders of a plan are out of reach of one another at times. */
export const isApart = ({ crew, ride, road }: Pick<Trip, 'crew' | 'ride' | 'road'>): boolean =>
  crew.length > 1 && (ride.apart > 0 || road.stretches.some(({ apart }) => apart !== null && apart > 0))

/** What a plan becomes by a deed; nothing where only its answer changes something, or where what it is about is gone. */
export function carriedOut(trip: Doable, deed: Deed, { lengthKm, newId }: Beside): Change {
  switch (deed.kind) {
    case 'job':
      return { bikes: trip.bikes.map((bike) => (bike.id === deed.bikeId ? withJob(bike, deed.jobId) : bike)) }
    case 'practice':
      return {
        crew: trip.crew.map((rider) => (rider.id === deed.riderId ? practised(rider, deed.techniqueId) : rider)),
      }
    case 'parcel':
      return withService(trip, deed, (service) => ({
        ...service,
        parcel: { ...service.parcel, [deed.classId]: service.parcel[deed.classId] ?? 1 },
        posting: isLeft(service.posting) ? openTask : service.posting,
      }))
    case 'buy':
      return boughtAt(trip, deed.thingId, deed.stopId)
    case 'wait':
    case 'sleep':
      return stayingAt(trip, deed)
    case 'borrow':
      return withStop(trip, deed.stopId, (stop) => ({ ...stop, bigWrench: true }))
    case 'together': {
      const { stretches } = trip.road
      return {
        ride: { ...trip.ride, apart: 0 },
        road: { ...trip.road, stretches: setTraits(stretches, lengthKm, 0, lengthKm, { apart: null }, newId) },
      }
    }
    case 'ask':
      return {}
  }
}

/** What a plan becomes where a deed that it has is taken back. */
export function takenBack(trip: Doable, deed: Deed): Change {
  switch (deed.kind) {
    case 'job':
      return { bikes: trip.bikes.map((bike) => (bike.id === deed.bikeId ? withoutJob(bike, deed.jobId) : bike)) }
    case 'practice':
      return {
        crew: trip.crew.map((rider) => (rider.id === deed.riderId ? unpractised(rider, deed.techniqueId) : rider)),
      }
    case 'parcel':
      return withService(trip, deed, (service) => {
        const { [deed.classId]: _, ...parcel } = service.parcel
        return { ...service, parcel }
      })
    case 'buy':
      return boughtAt(trip, deed.thingId, null)
    default:
      return {}
  }
}

const boughtAt = ({ bench }: Pick<Trip, 'bench'>, thingId: string, stopId: string | null): Change => ({
  bench: bench.map((thing) => (thing.id === thingId ? { ...thing, boughtAt: stopId } : thing)),
})

function stayingAt(trip: Doable, deed: Extract<Deed, { kind: 'wait' | 'sleep' }>): Change {
  const stop = trip.stops.find(({ id }) => id === deed.stopId)
  if (!stop) return {}
  const [waitH, nights] = deed.kind === 'wait' ? [deed.hours, 0] : [stop.waitH, 1]
  const { stops, ride } = withStayAt(trip, stop, waitH, nights)
  return { stops, ride }
}

export const withStop = ({ stops }: Pick<Trip, 'stops'>, stopId: string, change: (stop: Stop) => Stop): Change => ({
  stops: stops.map((stop) => (stop.id === stopId ? change(stop) : stop)),
})

export const withService = (
  trip: Pick<Trip, 'stops'>,
  { stopId, service: kind }: { readonly stopId: string; readonly service: string },
  change: (service: Service) => Service,
): Change =>
  withStop(trip, stopId, (stop) => ({
    ...stop,
    services: stop.services.map((service) => (service.kind === kind ? change(service) : service)),
  }))
