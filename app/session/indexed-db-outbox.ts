import type { Access } from '#core/access'
import { partNames, partSchemas, sameRevision, tripFormat, type PartName, type Revisions, type Trip } from '#core/trip'
import type { IDBPDatabase } from 'idb'
import { nameWithSteps } from './outbox'
import type { KeptLine, KeptTrip, Known, Outbox, Parts, PlacedStep, Sending, Step, Waiting } from './outbox'
import type { Change } from './changes'
import { readKept } from './kept-document'
import { packed, unpacked } from './packed-rows'
import { onDisk, openDeviceDatabase, type DeviceDatabase, type PartRow, type TripRow } from './device-database'

const everything = ['trips', 'parts', 'steps'] as const
/** So many trips are kept without anything waiting; those opened longest ago go first. */
const mostKept = 12

/** The outbox of one person in this browser's own database. */
export class IndexedDbOutbox implements Outbox {
  readonly lasts = true

  private constructor(
    private readonly db: IDBPDatabase<DeviceDatabase>,
    private readonly person: string,
    private readonly build: string | undefined,
  ) {}

  /** @param build which build of the app this is; undefined where nobody has built it */
  static async open(
    person: string,
    name?: string,
    build: string | undefined = import.meta.env.BUILD_ID,
  ): Promise<IndexedDbOutbox> {
    const db = await openDeviceDatabase(name)
    return new IndexedDbOutbox(db, person, build)
  }

  async read(trip: string, known?: Known): Promise<KeptTrip | undefined> {
    await this.bringUp(trip)
    const tx = this.db.transaction(everything)
    const row = await tx.objectStore('trips').get([this.person, trip])
    if (!row) return undefined
    const asked = partNames.filter((part) => !known || !sameRevision(known.revisions[part], row.revisions[part]))
    const [steps, ...values] = await Promise.all([
      tx.objectStore('steps').index('trip').getAll([this.person, trip]),
      ...asked.map((part) => tx.objectStore('parts').get([this.person, trip, part])),
    ])
    const mine = new Map(known?.steps.map(({ id, changes }) => [id, changes]))
    return {
      revisions: row.revisions,
      parts: Object.fromEntries(asked.map((part, i) => [part, this.partOf(values[i], part)])),
      steps: steps.map(({ id, changes, place }): PlacedStep => ({
        id,
        changes: mine.get(id) ?? (unpacked(changes) as Change[]),
        place: place ?? 0,
      })),
      settledUpTo: row.settledUpTo,
      sending: row.sending,
      access: row.access,
    }
  }

  async keep(trip: string, document: Trip, revisions: Revisions): Promise<void> {
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    const row = await tx.objectStore('trips').get([this.person, trip])
    if (!row) {
      const { person } = this
      const fresh = {
        person,
        trip,
        revisions,
        settledUpTo: 0,
        sending: undefined,
        openedAt: Date.now(),
        format: document.format,
      }
      await Promise.all([tx.objectStore('trips').put(fresh), ...this.putParts(tx.objectStore('parts'), trip, document)])
    }
    await tx.done
    await this.forgetOld(trip)
  }

  async grant(trip: string, access: Access): Promise<void> {
    await this.note(trip, { access })
  }

  heard(trip: string): Promise<void> {
    return this.note(trip, { openedAt: Date.now() })
  }

  takeAlong(trip: string, isTakenAlong: boolean): Promise<void> {
    return this.note(trip, { isTakenAlong })
  }

  private async note(trip: string, part: Partial<TripRow>): Promise<void> {
    const tx = this.db.transaction('trips', 'readwrite', onDisk)
    const row = await tx.store.get([this.person, trip])
    if (row) await tx.store.put({ ...row, ...part })
    await tx.done
  }

  async append(trip: string, step: Step): Promise<number> {
    const tx = this.db.transaction('steps', 'readwrite', onDisk)
    const place = tx.store.add(this.rowOf(trip, step))
    // Said at once, so that the browser needs nothing more from this window to finish it.
    tx.commit()
    const [at] = await Promise.all([place, tx.done])
    return at
  }

  async begin(trip: string, save: string): Promise<Sending | undefined> {
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    const [row, places] = await Promise.all([
      tx.objectStore('trips').get([this.person, trip]),
      tx.objectStore('steps').index('trip').getAllKeys([this.person, trip]),
    ])
    if (!row || row.sending || places.length === 0) return row?.sending
    const sending = { save, upTo: Math.max(...places) }
    await Promise.all([tx.objectStore('trips').put({ ...row, sending }), tx.done])
    return sending
  }

  async settle(trip: string, { save, upTo }: Sending, parts: Parts, revisions: Partial<Revisions>): Promise<void> {
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    const row = await tx.objectStore('trips').get([this.person, trip])
    if (row?.sending?.save === save) {
      const places = await tx.objectStore('steps').index('trip').getAllKeys([this.person, trip])
      const next = { ...row, revisions: { ...row.revisions, ...revisions }, settledUpTo: upTo, sending: undefined }
      await Promise.all([
        tx.objectStore('trips').put(next),
        ...this.putParts(tx.objectStore('parts'), trip, parts),
        ...places.filter((place) => place <= upTo).map((place) => tx.objectStore('steps').delete(place)),
      ])
    }
    await tx.done
  }

  async abandon(trip: string): Promise<void> {
    const tx = this.db.transaction('trips', 'readwrite', onDisk)
    const row = await tx.store.get([this.person, trip])
    if (row?.sending) await tx.store.put({ ...row, sending: undefined })
    await tx.done
  }

  async rebase(
    trip: string,
    parts: Parts,
    revisions: Revisions,
    seen: ReadonlySet<string>,
    step: Step | undefined,
  ): Promise<boolean> {
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    const [row, steps] = await Promise.all([
      tx.objectStore('trips').get([this.person, trip]),
      tx.objectStore('steps').index('trip').getAll([this.person, trip]),
    ])
    const agrees = row !== undefined && steps.every(({ id }) => seen.has(id))
    if (agrees) {
      await Promise.all([
        tx.objectStore('trips').put({ ...row, revisions, sending: undefined }),
        ...this.putParts(tx.objectStore('parts'), trip, parts),
        ...(step ? [tx.objectStore('steps').add(this.rowOf(trip, step))] : []),
      ])
    }
    await tx.done
    return agrees
  }

  async waiting(): Promise<Waiting[]> {
    const tx = this.db.transaction(everything)
    const steps = await tx.objectStore('steps').index('trip').getAll(this.allTrips)
    const trips = [...new Set(steps.map(({ trip }) => trip))]
    const names = await Promise.all(trips.map((trip) => tx.objectStore('parts').get([this.person, trip, 'name'])))
    return trips.map((trip, i) => {
      const own = steps.filter((step) => step.trip === trip)
      return { trip, name: nameWithSteps(names[i]?.value, own.map(changesOf)), steps: own.length }
    })
  }

  async kept(): Promise<KeptLine[]> {
    const tx = this.db.transaction(everything)
    const rows = await tx.objectStore('trips').getAll(this.allTrips)
    rows.sort((a, b) => b.openedAt - a.openedAt)
    const [steps, ...names] = await Promise.all([
      tx.objectStore('steps').index('trip').getAll(this.allTrips),
      ...rows.map(({ trip }) => tx.objectStore('parts').get([this.person, trip, 'name'])),
    ])
    return rows.map(({ trip, openedAt: asOf, isTakenAlong = false }, i) => {
      const own = steps.filter((step) => step.trip === trip)
      return { trip, name: nameWithSteps(names[i]?.value, own.map(changesOf)), asOf, isTakenAlong }
    })
  }

  async forget(trip: string): Promise<void> {
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    const places = await tx.objectStore('steps').index('trip').getAllKeys([this.person, trip])
    await Promise.all([
      tx.objectStore('trips').delete([this.person, trip]),
      tx.objectStore('parts').delete(IDBKeyRange.bound([this.person, trip], [this.person, trip, []])),
      ...places.map((place) => tx.objectStore('steps').delete(place)),
      tx.done,
    ])
  }

  async wipe(): Promise<void> {
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    await Promise.all([...everything.map((rows) => tx.objectStore(rows).clear()), tx.done])
  }

  close(): void {
    this.db.close()
  }

  /** Brings a trip that an older Rag Tin kept here to this one's format, as the server does with its own. */
  private async bringUp(trip: string): Promise<void> {
    const key: [string, string] = [this.person, trip]
    const row = await this.db.get('trips', key)
    if (!row || row.format === tripFormat) return
    const parts = await this.db.getAll('parts', IDBKeyRange.bound(key, [...key, []]))
    const document = {
      format: row.format,
      ...Object.fromEntries(parts.map(({ part, value }) => [part, unpacked(value)])),
    }
    const next = await readKept(document)
    const tx = this.db.transaction(everything, 'readwrite', onDisk)
    await Promise.all([
      tx.objectStore('trips').put({ ...row, format: tripFormat }),
      ...this.putParts(tx.objectStore('parts'), trip, next),
      tx.done,
    ])
  }

  /** Keys of this person's trips; an empty list comes after every text. */
  private get allTrips(): IDBKeyRange {
    return IDBKeyRange.bound([this.person], [this.person, []])
  }

  private putParts(rows: { put(row: PartRow): Promise<unknown> }, trip: string, parts: Parts): Promise<unknown>[] {
    const { person, build } = this
    return partNames
      .filter((part) => part in parts)
      .map((part) => rows.put({ person, trip, part, value: packed(parts[part]), build }))
  }

  /** What this very build has kept it has checked before: to check it again would take a telephone as long as all the rest. */
  private partOf(row: PartRow | undefined, part: PartName): unknown {
    const value = unpacked(row?.value)
    return row?.build !== undefined && row.build === this.build ? value : ofThisShape(part, value)
  }

  private rowOf(trip: string, { id, changes }: Step) {
    return { id, changes: packed(changes), person: this.person, trip }
  }

  private async forgetOld(opened: string): Promise<void> {
    const waits = new Set((await this.waiting()).map(({ trip }) => trip))
    const idle = (await this.kept()).filter(
      ({ trip, isTakenAlong }) => trip !== opened && !waits.has(trip) && !isTakenAlong,
    )
    for (const { trip } of idle.slice(mostKept - 1)) await this.forget(trip)
  }
}

/**
 * A part as this Rag Tin would have it: one that was kept before something could be said of a bike or a thing lacks that, and
 * what is not said has its usual value. The line of a road, which is long, has never had anything more to say.
 */
function ofThisShape(part: PartName, value: unknown): unknown {
  if (part === 'road') {
    const road = value as Trip['road']
    const stretches = partSchemas.road.shape.stretches.safeParse(road.stretches)
    return stretches.success ? { ...road, stretches: stretches.data } : road
  }
  const read = partSchemas[part].safeParse(value)
  return read.success ? read.data : value
}

const changesOf = ({ changes }: { readonly changes: unknown }) => ({ changes: unpacked(changes) as Change[] })
