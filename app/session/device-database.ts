import type { Access } from '#core/access'
import type { OwnedThing } from '#core/shed'
import type { PartName, Revisions } from '#core/trip'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Sending, Step } from './outbox'

/** Somebody whose device this is. */
export interface Person {
  readonly id: string
  readonly name: string
  readonly email: string
}

export interface TripRow {
  readonly person: string
  readonly trip: string
  readonly revisions: Revisions
  readonly settledUpTo: number
  readonly sending: Sending | undefined
  /** When the server last said how it stands. */
  readonly openedAt: number
  readonly isTakenAlong?: boolean
  /** The format of the parts that are kept. */
  readonly format: string
  /** How the person stands to it; an older Rag Tin kept only trips of their own. */
  readonly access?: Access
}

export interface PartRow {
  readonly person: string
  readonly trip: string
  readonly part: PartName
  /** Packed (`packed-rows`). */
  readonly value: unknown
  /** The build of the app that kept it; another may have more to say of a part than this one. */
  readonly build?: string
}

interface StepRow {
  readonly id: Step['id']
  readonly person: string
  readonly trip: string
  /** Its changes, packed. */
  readonly changes: unknown
  readonly place?: number
}

/** A trip of somebody without an account: this device is all that has it. */
export interface OwnTripRow {
  readonly trip: string
  readonly name: string
  readonly lengthKm: number
  readonly things: number
  readonly revisions: Revisions
  readonly changedAt: number
  /** Whether it lies in the bin. */
  readonly isThrownAway: boolean
  /** The format of its parts. */
  readonly format: string
}

export type OwnPartRow = Omit<PartRow, 'person' | 'build'>

/** A thing of somebody's shed as this device has it. */
export interface ShedRow {
  readonly id: string
  /** What the server has, and in which version; null and empty where it has none. */
  readonly saved: OwnedThing | null
  readonly version: string
  /** What it shall be; null where it shall not be there. */
  readonly thing: OwnedThing | null
}

/** A photo of the road, of an entry of a log. */
export interface PhotoRow {
  readonly person: string
  readonly trip: string
  readonly id: string
  readonly entry: string
  /** In ms since 1970. */
  readonly takenAt: number
  readonly picture: Blob
}

export interface DeviceDatabase extends DBSchema {
  trips: { key: [string, string]; value: TripRow }
  parts: { key: [string, string, string]; value: PartRow }
  /** Whose device this is: one row, or none. */
  person: { key: string; value: Person }
  own: { key: string; value: OwnTripRow }
  ownParts: { key: [string, string]; value: OwnPartRow }
  shed: { key: [string, string]; value: ShedRow & { readonly person: string } }
  photos: { key: [string, string, string]; value: PhotoRow }
  steps: { key: number; value: StepRow; indexes: { trip: [string, string] } }
}

/** What was acknowledged lies on the disk, not in a cache that a flat battery empties. */
export const onDisk = { durability: 'strict' } as const

/** Opens this browser's own database. */
export function openDeviceDatabase(name = 'rag-tin'): Promise<IDBPDatabase<DeviceDatabase>> {
  return openDB<DeviceDatabase>(name, 5, {
    upgrade(database, before) {
      if (before < 1) {
        database.createObjectStore('trips', { keyPath: ['person', 'trip'] })
        database.createObjectStore('parts', { keyPath: ['person', 'trip', 'part'] })
        database.createObjectStore('person')
        const steps = database.createObjectStore('steps', { keyPath: 'place', autoIncrement: true })
        steps.createIndex('trip', ['person', 'trip'])
      }
      if (before < 2) {
        database.createObjectStore('own', { keyPath: 'trip' })
        database.createObjectStore('ownParts', { keyPath: ['trip', 'part'] })
      }
      if (before < 4) database.createObjectStore('shed', { keyPath: ['person', 'id'] })
      if (before < 5) database.createObjectStore('photos', { keyPath: ['person', 'trip', 'id'] })
      // Since 3, long lists are kept packed: nothing is rewritten for that, but an older Rag Tin could not read them.
    },
    // Another window brings a newer Rag Tin: this one lets go, and says at its next edit that it keeps nothing here.
    blocking: (_, __, event) => (event.target as IDBDatabase).close(),
  })
}
