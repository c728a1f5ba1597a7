import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, isNotNull, isNull, lt, sql, type SQL } from 'drizzle-orm'
import { z } from 'zod'
import { catalogue } from '#catalogue'
import {
  checkReferences,
  partNames,
  revisionSchema,
  sameRevision,
  type PartName,
  type Revision,
  type Revisions,
} from '#core/trip'
import { Refusal } from '../refusal'
import type { Connection, Database } from './connection'
import { tripJson, tripWithoutLine, type StoredParts, type PartChange } from './stored-parts'
import { readLately, readTrip, type ReadTrip } from './read'
import { partVersions, roads, saves, things, trips } from './schema'
import { allOrNothing } from './transaction'
import { writePart } from './trip-rows'

/** The trip is not there for this person: another's, or none at all. */
export class NoSuchTrip extends Error {}

/** Somebody, perhaps the same person on another device, has saved these parts since they were read. */
export class SavedMeanwhile extends Error {
  constructor(readonly parts: readonly PartName[]) {
    super(`saved elsewhere meanwhile: ${parts.join(', ')}`)
  }
}

/** What a save made, and how all parts stand now. */
export interface Saved {
  readonly made: Partial<Record<PartName, Revision>>
  readonly revisions: Revisions
}

/** A device that has been away for so long has its save done again, or is told of a conflict. */
const savesKeptDays = 60

/** A person's trips, the one changed last first. */
export function listTrips(db: Database, ownerId: string) {
  return list(db, ownerId, isNull(trips.deletedAt)).orderBy(desc(trips.updatedAt), asc(trips.name))
}

/** The trips that a person has thrown away, the latest first. */
export function listBin(db: Database, ownerId: string) {
  return list(db, ownerId, isNotNull(trips.deletedAt)).orderBy(desc(trips.deletedAt), asc(trips.name))
}

function list(db: Database, ownerId: string, which: SQL) {
  return db
    .select({
      id: trips.id,
      name: trips.name,
      updatedAt: trips.updatedAt,
      deletedAt: trips.deletedAt,
      lengthKm: roads.lengthKm,
      things: sql<number>`(select count(*) from ${things} where ${things.tripId} = ${trips.id})`.mapWith(Number),
    })
    .from(trips)
    .leftJoin(roads, eq(roads.tripId, trips.id))
    .where(and(eq(trips.ownerId, ownerId), which))
}

/** Writes the checked parts of a trip as a new trip. */
export async function createTrip(db: Database, ownerId: string, parts: StoredParts): Promise<string> {
  const id = randomUUID()
  const now = new Date()
  await allOrNothing(db, async (tx) => {
    await tx.insert(trips).values({ id, ownerId, name: parts.name, createdAt: now, updatedAt: now })
    await tx.insert(partVersions).values(partNames.map((part) => ({ tripId: id, part, version: 1, savedAt: now })))
    for (const part of partNames) await write(tx, id, part, parts[part])
  })
  return id
}

/** A whole trip, with the revision of each part. */
export async function readWholeTrip(
  db: Database,
  ownerId: string,
  tripId: string,
): Promise<ReadTrip & { readonly revisions: Revisions }> {
  const revisions = await revisionsOf(db, ownerId, tripId)
  const read = readLately(tripId, revisions)
  if (read) return { ...read, revisions }
  return db.transaction(
    async (tx) => {
      const now = await revisionsOf(tx, ownerId, tripId)
      return { ...(await readTrip(tx, tripId, now)), revisions: now }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** How each part of a trip stands, without the trip. */
export function readRevisions(db: Database, ownerId: string, tripId: string): Promise<Revisions> {
  return revisionsOf(db, ownerId, tripId)
}

/**
 * Saves some parts of a trip, all or none. Offered again under the same name, nothing is done, and the answer is that
 * of the first time.
 *
 * @param save the name of this save
 * @throws NoSuchTrip, SavedMeanwhile, or Refusal or Faults when the trip would not hold together
 */
export async function saveParts(
  db: Database,
  ownerId: string,
  tripId: string,
  save: string,
  changes: readonly PartChange[],
): Promise<Saved> {
  return allOrNothing(db, async (tx) => {
    await lockTrip(tx, ownerId, tripId)
    const revisions = await revisionsOf(tx, ownerId, tripId)
    // What was done once is not refused by what has become stricter since: the device would take it for not done.
    const done = await madeBy(tx, tripId, save)
    if (done) return { made: done, revisions }
    const values = takeValues(changes)
    const stale = changes.filter(({ part, base }) => !sameRevision(revisions[part], base))
    if (stale.length > 0) throw new SavedMeanwhile(stale.map(({ part }) => part))

    const now = new Date()
    const { parts: current } = await readTrip(tx, tripId, revisions)
    const next: StoredParts = { ...current, ...values }
    checkReferences(tripWithoutLine(next), next.road.lengthKm, catalogue)

    const made: Partial<Record<PartName, Revision>> = {}
    // In the order of the work, so that what is pointed at is there before what points at it.
    for (const part of partNames.filter((name) => name in values)) {
      await write(tx, tripId, part, next[part])
      const revision = { number: revisions[part].number + 1, save }
      made[part] = revision
      await tx
        .update(partVersions)
        .set({ version: revision.number, save, savedAt: now })
        .where(and(eq(partVersions.tripId, tripId), eq(partVersions.part, part)))
    }
    await tx.update(trips).set({ updatedAt: now }).where(eq(trips.id, tripId))
    const tooOld = new Date(now.getTime() - savesKeptDays * 24 * 3600_000)
    await tx.delete(saves).where(and(eq(saves.tripId, tripId), lt(saves.at, tooOld)))
    await tx.insert(saves).values({ tripId, save, at: now, made: JSON.stringify(made) })
    return { made, revisions: { ...revisions, ...made } }
  })
}

/** Puts a trip in the bin, or takes it out again. */
export async function setDeleted(db: Database, ownerId: string, tripId: string, deleted: boolean): Promise<void> {
  const [row] = await db
    .select({ id: trips.id })
    .from(trips)
    .where(and(eq(trips.id, tripId), eq(trips.ownerId, ownerId)))
  if (!row) throw new NoSuchTrip()
  await db
    .update(trips)
    .set({ deletedAt: deleted ? new Date() : null })
    .where(eq(trips.id, tripId))
}

/**
 * Takes trips of the bin away for good.
 *
 * @param tripId one of them; all where none is given
 * @throws NoSuchTrip where the one does not lie in the bin
 */
export async function emptyBin(db: Database, ownerId: string, tripId?: string): Promise<void> {
  const inBin = and(eq(trips.ownerId, ownerId), isNotNull(trips.deletedAt))
  const which = tripId === undefined ? inBin : and(inBin, eq(trips.id, tripId))
  const [{ affectedRows }] = await allOrNothing(db, (tx) => tx.delete(trips).where(which))
  if (tripId !== undefined && affectedRows === 0) throw new NoSuchTrip()
}

/** A trip's document, whether it lies in the bin or not. @throws NoSuchTrip */
export function readAnyDocument(db: Database, ownerId: string, tripId: string): Promise<Buffer> {
  return db.transaction(
    async (tx) => {
      const revisions = await revisionsOf(tx, ownerId, tripId, 'also in the bin')
      return tripJson((await readTrip(tx, tripId, revisions)).json)
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** The values of changes that can all be taken. @throws Refusal where one cannot */
function takeValues(changes: readonly PartChange[]): Partial<StoredParts> {
  const faults = changes.flatMap((change) => ('faults' in change ? change.faults : []))
  if (faults.length > 0) throw new Refusal(faults)
  return Object.fromEntries(changes.flatMap((change) => ('value' in change ? [[change.part, change.value]] : [])))
}

const ownTrip = (ownerId: string, tripId: string) =>
  and(eq(trips.id, tripId), eq(trips.ownerId, ownerId), isNull(trips.deletedAt))

/** Keeps other writers from a trip until the transaction ends. */
async function lockTrip(tx: Connection, ownerId: string, tripId: string): Promise<void> {
  const [row] = await tx.select({ id: trips.id }).from(trips).where(ownTrip(ownerId, tripId)).for('update')
  if (!row) throw new NoSuchTrip()
}

/** @throws NoSuchTrip where there is none of this person's */
async function revisionsOf(
  db: Connection,
  ownerId: string,
  tripId: string,
  which?: 'also in the bin',
): Promise<Revisions> {
  const rows = await db
    .select({ part: partVersions.part, number: partVersions.version, save: partVersions.save })
    .from(trips)
    .leftJoin(partVersions, eq(partVersions.tripId, trips.id))
    .where(which ? and(eq(trips.id, tripId), eq(trips.ownerId, ownerId)) : ownTrip(ownerId, tripId))
  if (rows.length === 0) throw new NoSuchTrip()
  const revisions = new Map(rows.map(({ part, number, save }) => [part, { number: number ?? 0, save: save ?? '' }]))
  return Object.fromEntries(partNames.map((part) => [part, revisions.get(part) ?? { number: 0, save: '' }])) as Record<
    PartName,
    Revision
  >
}

const madeSchema = z.partialRecord(z.enum(partNames), revisionSchema)

async function madeBy(db: Connection, tripId: string, save: string): Promise<Saved['made'] | undefined> {
  const ofSave = and(eq(saves.tripId, tripId), eq(saves.save, save))
  const [row] = await db.select({ made: saves.made }).from(saves).where(ofSave)
  return row && madeSchema.parse(JSON.parse(row.made))
}

function write<P extends PartName>(db: Connection, tripId: string, part: P, value: StoredParts[P]): Promise<void> {
  return writePart[part](db, tripId, value)
}
