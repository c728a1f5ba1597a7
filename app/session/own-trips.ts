import { soleAccess } from '#core/access'
import { kmAlong } from '#core/road'
import { partNames, sameRevision, tripFormat, type Revisions, type Trip } from '#core/trip'
import type { IDBPDatabase } from 'idb'
import { onDisk, openDeviceDatabase, type DeviceDatabase, type OwnTripRow } from './device-database'
import type { Parts } from './outbox'
import { readKept } from './kept-document'
import { packed, unpacked } from './packed-rows'
import type { Known, Loaded, PartChange, Saved, TripServer, Unreached } from './trip-server'

/** A trip of this device as it is listed. */
export type OwnTrip = Pick<OwnTripRow, 'trip' | 'name' | 'lengthKm' | 'things' | 'changedAt'>

const gone: Unreached = { kind: 'gone' }
const stores = ['own', 'ownParts'] as const

/**
 * The trips of somebody without an account. They lie in this browser's own database, which answers a trip's session in the
 * server's place: so whatever is done with a trip goes the same way, with an account and without.
 */
export class OwnTrips implements TripServer {
  /** @param database the name of the browser's database */
  constructor(private readonly database?: string) {}

  create(trip: string, document: Trip): Promise<void> {
    const first = { number: 1, save: trip }
    const revisions = Object.fromEntries(partNames.map((part) => [part, first])) as Revisions
    const row = { trip, revisions, changedAt: Date.now(), isThrownAway: false, format: tripFormat }
    const none = { name: '', lengthKm: 0, things: 0 }
    return this.within((db) => write(db, { ...row, ...none, ...summaryOf(document) }, document))
  }

  /** Those that do not lie in the bin, the one that was changed last first. */
  list(): Promise<OwnTrip[]> {
    return this.within(async (db) => {
      const rows = await db.getAll('own')
      return rows.filter(({ isThrownAway }) => !isThrownAway).sort((a, b) => b.changedAt - a.changedAt)
    })
  }

  throwAway(trip: string): Promise<void> {
    return this.mark(trip, true)
  }

  takeBack(trip: string): Promise<void> {
    return this.mark(trip, false)
  }

  /** Those that lie in the bin, the one that was thrown away last first. */
  bin(): Promise<OwnTrip[]> {
    return this.within(async (db) => {
      const rows = await db.getAll('own')
      return rows.filter(({ isThrownAway }) => isThrownAway).sort((a, b) => b.changedAt - a.changedAt)
    })
  }

  /** For good: out of the bin, or because an account has it now. */
  forget(trip: string): Promise<void> {
    return this.within(async (db) => {
      const tx = db.transaction(stores, 'readwrite', onDisk)
      await Promise.all([
        tx.objectStore('own').delete(trip),
        tx.objectStore('ownParts').delete(IDBKeyRange.bound([trip], [trip, []])),
        tx.done,
      ])
    })
  }

  load(trip: string): Promise<Loaded> {
    return this.answering(async (db) => {
      const row = await rowOf(db, trip)
      if (!row) return gone
      const parts = await db.getAll('ownParts', IDBKeyRange.bound([trip], [trip, []]))
      const document = {
        format: row.format,
        ...Object.fromEntries(parts.map(({ part, value }) => [part, unpacked(value)])),
      }
      const read = await readKept(document)
      return { kind: 'loaded', trip: read, revisions: row.revisions, access: soleAccess }
    })
  }

  revisions(trip: string): Promise<Known> {
    return this.answering(async (db) => {
      const row = await rowOf(db, trip)
      return row ? { kind: 'known', revisions: row.revisions, access: soleAccess } : gone
    })
  }

  async save(trip: string, save: string, changes: readonly PartChange[]): Promise<Saved> {
    // What an older Rag Tin left is brought up as a whole first.
    const older = await this.answering(async (db) => {
      const row = await rowOf(db, trip)
      return row && row.format !== tripFormat ? this.load(trip) : undefined
    })
    if (older && older.kind !== 'loaded') return older
    return this.answering(async (db): Promise<Saved> => {
      const tx = db.transaction(stores, 'readwrite', onDisk)
      const row = await tx.objectStore('own').get(trip)
      if (!row || row.isThrownAway) return gone
      const made = Object.fromEntries(
        changes.map(({ part, base }) => [part, { number: base.number + 1, save }]),
      ) as Partial<Revisions>
      // Offered twice under one name, it is done once.
      if (changes.every(({ part }) => row.revisions[part].save === save)) {
        return { kind: 'saved', made, revisions: row.revisions, access: soleAccess }
      }
      if (!changes.every(({ part, base }) => sameRevision(base, row.revisions[part]))) return { kind: 'stale' }
      const revisions = { ...row.revisions, ...made }
      const parts: Parts = {
        ...older?.trip,
        ...Object.fromEntries(changes.map(({ part, value }) => [part, value])),
      }
      const next = { ...row, ...summaryOf(parts), revisions, changedAt: Date.now(), format: tripFormat }
      await Promise.all([
        tx.objectStore('own').put(next),
        ...rowsOf(trip, parts).map((each) => tx.objectStore('ownParts').put(each)),
        tx.done,
      ])
      return { kind: 'saved', made, revisions, access: soleAccess }
    })
  }

  private mark(trip: string, isThrownAway: boolean): Promise<void> {
    return this.within(async (db) => {
      const row = await db.get('own', trip)
      if (row) await write(db, { ...row, isThrownAway, changedAt: Date.now() }, {})
    })
  }

  private async within<T>(use: (db: IDBPDatabase<DeviceDatabase>) => Promise<T>): Promise<T> {
    const db = await this.open()
    try {
      return await use(db)
    } finally {
      db.close()
    }
  }

  private async open(): Promise<IDBPDatabase<DeviceDatabase>> {
    try {
      return await openDeviceDatabase(this.database)
    } catch (cause) {
      throw new KeepsNothing(cause)
    }
  }

  /** Whatever happens is an answer. */
  private async answering<T>(use: (db: IDBPDatabase<DeviceDatabase>) => Promise<T>): Promise<T | Unreached> {
    try {
      return await this.within(use)
    } catch (error) {
      const told = error instanceof KeepsNothing ? error : new KeepsNothing(error)
      return { kind: 'away', lines: [told.message] }
    }
  }
}

const wordsOf = (error: unknown) => (error instanceof Error ? error.message : String(error))

/** What is made here is kept nowhere: storage is forbidden, as in some private windows, or full. */
class KeepsNothing extends Error {
  constructor(cause: unknown) {
    super(`This browser keeps nothing on this device: ${wordsOf(cause)}. With an account, trips lie on the server.`, {
      cause,
    })
  }
}

async function rowOf(db: IDBPDatabase<DeviceDatabase>, trip: string): Promise<OwnTripRow | undefined> {
  const row = await db.get('own', trip)
  return row?.isThrownAway ? undefined : row
}

const rowsOf = (trip: string, parts: Parts) =>
  partNames.filter((part) => part in parts).map((part) => ({ trip, part, value: packed(parts[part]) }))

async function write(db: IDBPDatabase<DeviceDatabase>, row: OwnTripRow, parts: Parts): Promise<void> {
  const tx = db.transaction(stores, 'readwrite', onDisk)
  await Promise.all([
    tx.objectStore('own').put(row),
    ...rowsOf(row.trip, parts).map((each) => tx.objectStore('ownParts').put(each)),
    tx.done,
  ])
}

/** What a list of trips says of a trip, as far as its parts say it. */
function summaryOf({ name, road, bench }: Parts): Partial<Pick<OwnTripRow, 'name' | 'lengthKm' | 'things'>> {
  return {
    ...(name !== undefined && { name }),
    ...(road && { lengthKm: kmAlong(road.points).at(-1) ?? 0 }),
    ...(bench && { things: bench.length }),
  }
}
