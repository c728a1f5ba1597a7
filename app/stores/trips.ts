import type { Role } from '#core/access'
import type { Planning } from '#core/reference'
import type { Trip } from '#core/trip'
import type { Person } from '../session/device-database'
import { forgetPhotosOf, handPhotosOn } from '../session/device-photos'
import { guest } from '../session/guest'
import { IndexedDbOutbox } from '../session/indexed-db-outbox'
import { OwnTrips } from '../session/own-trips'
import { api } from '../http/api'
import { jsonBlob } from '../http/json-blob'
import { usePerson } from './person'
import { takeOverOwnShed } from './shed'
import { useTripSessions } from './trip-sessions'

/** A trip as it is listed. */
export interface TripLine {
  readonly id: string
  readonly name: string
  readonly updatedAt: string
  readonly lengthKm: number | null
  readonly things: number
  /** How one stands to it. */
  readonly role: Role
  /** Who its owner is, where somebody else is. */
  readonly owner: string
  /** How many others share it, where one owns it. */
  readonly others: number
}

/** A trip that was thrown away. */
export interface BinLine {
  readonly id: string
  readonly name: string
  readonly deletedAt: string
}

/** What can be done with one's trips as a whole, with an account and without. */
interface Trips {
  list(): Promise<TripLine[]>
  /** A trip as it stands there. */
  read(id: string): Promise<Trip>
  /** @param document a trip document of any format; whatever is wrong with it is said by lines */
  create(document: object): Promise<string>
  throwAway(id: string): Promise<unknown>
  takeBack(id: string): Promise<unknown>
  bin(): Promise<BinLine[]>
  /** Takes a trip of the bin away for good. */
  takeAway(id: string): Promise<unknown>
  emptyBin(): Promise<unknown>
  /** Planning values that hold for all of one's trips. */
  planning(): Promise<Planning>
}

/** Photos of the road lie on the device alone, and go with their trip. One that keeps no database has none. */
const forgetPhotosOn = (trip: string) =>
  forgetPhotosOf({ person: usePerson().person.value?.id ?? guest.id, trip }).catch(() => undefined)

const ofAccount: Trips = {
  list: () => api<TripLine[]>('/api/trips'),
  read: async (id) => (await api<{ trip: Trip }>(`/api/trips/${id}`)).trip,
  async create(document) {
    const { id } = await api<{ id: string }>('/api/trips', { method: 'POST', body: await jsonBlob(document) })
    return id
  },
  throwAway: (id) => api(`/api/trips/${id}`, { method: 'DELETE' }),
  takeBack: (id) => api(`/api/trips/${id}/restore`, { method: 'POST' }),
  bin: () => api<BinLine[]>('/api/bin'),
  async takeAway(id) {
    await api(`/api/bin/${id}`, { method: 'DELETE' })
    await forgetPhotosOn(id)
  },
  async emptyBin() {
    const thrownAway = await this.bin()
    await api('/api/bin', { method: 'DELETE' })
    for (const { id } of thrownAway) await forgetPhotosOn(id)
  },
  planning: async () => (await api<{ planning: Planning }>('/api/account')).planning,
}

const own = new OwnTrips()

/** Takes a trip of this device away for good, with what waited of it. */
async function forgetOwn(id: string): Promise<void> {
  await own.forget(id)
  await forgetPhotosOn(id)
  const outbox = await IndexedDbOutbox.open(guest.id)
  try {
    await outbox.forget(id)
  } finally {
    outbox.close()
  }
}

const ofDevice: Trips = {
  async read(id) {
    const loaded = await own.load(id)
    if (loaded.kind !== 'loaded') throw new Error('That trip is not there any more.')
    return loaded.trip
  },
  async list() {
    const trips = await own.list()
    return trips.map(({ trip, changedAt, ...rest }) => ({
      ...rest,
      id: trip,
      updatedAt: new Date(changedAt).toISOString(),
      role: 'owner' as const,
      owner: '',
      others: 0,
    }))
  },
  async create(document) {
    // Read by the same rules as on the server, which are loaded only where they are needed.
    const [{ readTrip }, { catalogue }] = await Promise.all([import('#core/trip'), import('#catalogue')])
    const id = crypto.randomUUID()
    await own.create(id, readTrip(document, catalogue))
    return id
  },
  throwAway: (id) => own.throwAway(id),
  takeBack: (id) => own.takeBack(id),
  async bin() {
    const trips = await own.bin()
    return trips.map(({ trip, name, changedAt }) => ({ id: trip, name, deletedAt: new Date(changedAt).toISOString() }))
  },
  takeAway: (id) => forgetOwn(id),
  async emptyBin() {
    for (const { trip } of await own.bin()) await forgetOwn(trip)
  },
  planning: () => Promise.resolve({}),
}

/** The trips of whoever this device belongs to. */
export function useTrips(): Trips {
  return usePerson().isGuest.value ? ofDevice : ofAccount
}

const sampleMark = 'Sample: '
/** Whether a trip is the sample that was laid there to look round in: its riders are nobody's own. */
export const isSample = ({ name }: Pick<TripLine, 'name'>) => name.startsWith(sampleMark)

/** Lays the sample trip among the trips of somebody who is new: to look round in, and to be thrown away. */
async function laySample(trips: Trips): Promise<void> {
  const { demoTrip } = await import('#catalogue/demo')
  const trip = demoTrip()
  await trips.create({ ...trip, name: `${sampleMark}${trip.name}` })
}
export const laySampleOnDevice = () => laySample(ofDevice)
export const laySampleInAccount = () => laySample(ofAccount)

/** Brings everything of somebody without an account to the device, before they sign in. */
export async function settleOwnTrips(): Promise<void> {
  if (usePerson().isGuest.value) await (await useTripSessions()).flush()
}

/** How many trips that were made without an account lie on this device. */
export const countOwnTrips = async () => (await own.list()).length

/**
 * Takes the trips and the shed that were made without an account over into the account that is signed in; each is forgotten on the device
 * once the account has it. Whose trips they are only a person can say: it is done when somebody signs in from them, or asks
 * for it. Of two windows one does it.
 */
export async function takeOverOwnTrips(): Promise<void> {
  await navigator.locks.request('rag-tin.take-over', async () => {
    // Who has signed in the page may not know yet.
    const { user } = await api<{ user: Pick<Person, 'id'> | null }>('/api/session')
    const outbox = await IndexedDbOutbox.open(guest.id)
    try {
      for (const { trip } of await own.list()) {
        const loaded = await own.load(trip)
        if (loaded.kind !== 'loaded') throw new Error(loaded.kind === 'away' ? loaded.lines.join(' ') : loaded.kind)
        const id = await ofAccount.create(loaded.trip)
        if (user) await handPhotosOn({ person: guest.id, trip }, { person: user.id, trip: id }).catch(() => undefined)
        await own.forget(trip)
        await outbox.forget(trip)
      }
    } finally {
      outbox.close()
    }
    await takeOverOwnShed()
  })
}
