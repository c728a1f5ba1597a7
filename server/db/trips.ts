import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, isNotNull, isNull, lt, sql } from 'drizzle-orm'
import { z } from 'zod'
import { catalogue } from '#catalogue'
import { changeLines, refusedChanges, refusedLine } from '#core/access'
import { checkReferences, partNames, revisionSchema, sameRevision, type PartName, type Revision } from '#core/trip'
import { Refusal } from '../refusal'
import { lockTrip, NoSuchTrip, NotAllowed, standingOf, type Standing } from './access'
import type { Connection, Database } from './connection'
import { tripJson, tripWithoutLine, type StoredParts, type PartChange } from './stored-parts'
import { readLately, readTrip, type ReadTrip } from './read'
import { members, partVersions, roads, saves, things, trips, users } from './schema'
import { allOrNothing } from './transaction'
import { writePart } from './trip-rows'

/** Somebody, perhaps the same person on another device, has saved these parts since they were read. */
export class SavedMeanwhile extends Error {
  constructor(readonly parts: readonly PartName[]) {
    super(`saved elsewhere meanwhile: ${parts.join(', ')}`)
  }
}

/** What a save made, and how all parts stand now. */
export interface Saved extends Standing {
  readonly made: Partial<Record<PartName, Revision>>
}

/** A device that has been away for so long has its save done again, or is told of a conflict. */
const savesKeptDays = 60

/** A person's own trips, the one changed last first. */
export function listTrips(db: Database, ownerId: string) {
  return db
    .select(listed)
    .from(trips)
    .leftJoin(roads, eq(roads.tripId, trips.id))
    .where(and(eq(trips.ownerId, ownerId), isNull(trips.deletedAt)))
    .orderBy(desc(trips.updatedAt), asc(trips.name))
}

/** Trips of others that somebody shares, the one changed last first. */
export function listShared(db: Database, userId: string) {
  return db
    .select({ ...listed, role: members.role, owner: users.name })
    .from(members)
    .innerJoin(trips, eq(trips.id, members.tripId))
    .innerJoin(users, eq(users.id, trips.ownerId))
    .leftJoin(roads, eq(roads.tripId, trips.id))
    .where(and(eq(members.userId, userId), isNull(trips.deletedAt)))
    .orderBy(desc(trips.updatedAt), asc(trips.name))
}

/** The trips that a person has thrown away, the latest first. */
export function listBin(db: Database, ownerId: string) {
  return db
    .select(listed)
    .from(trips)
    .leftJoin(roads, eq(roads.tripId, trips.id))
    .where(and(eq(trips.ownerId, ownerId), isNotNull(trips.deletedAt)))
    .orderBy(desc(trips.deletedAt), asc(trips.name))
}

const listed = {
  id: trips.id,
  name: trips.name,
  updatedAt: trips.updatedAt,
  deletedAt: trips.deletedAt,
  lengthKm: roads.lengthKm,
  things: sql<number>`(select count(*) from ${things} where ${things.tripId} = ${trips.id})`.mapWith(Number),
  others: sql<number>`(select count(*) from ${members} where ${members.tripId} = ${trips.id})`.mapWith(Number),
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

/** A whole trip, and how it stands. */
export async function readWholeTrip(db: Database, userId: string, tripId: string): Promise<ReadTrip & Standing> {
  const standing = await standingOf(db, userId, tripId)
  const read = readLately(tripId, standing.revisions)
  if (read) return { ...read, ...standing }
  return db.transaction(
    async (tx) => {
      const now = await standingOf(tx, userId, tripId)
      return { ...(await readTrip(tx, tripId, now.revisions)), ...now }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/**
 * Saves some parts of a trip, all or none. Offered again under the same name, nothing is done, and the answer is that
 * of the first time.
 *
 * @param save the name of this save
 * @throws NoSuchTrip, NotAllowed, SavedMeanwhile, or Refusal or Faults when the trip would not hold together
 */
export async function saveParts(
  db: Database,
  userId: string,
  tripId: string,
  save: string,
  changes: readonly PartChange[],
): Promise<Saved> {
  return allOrNothing(db, async (tx) => {
    await lockTrip(tx, tripId)
    const { access, revisions } = await standingOf(tx, userId, tripId)
    // What was done once is not refused by what has become stricter since: the device would take it for not done.
    const done = await madeBy(tx, tripId, save)
    if (done) return { made: done, revisions, access }
    const values = takeValues(changes)
    const stale = changes.filter(({ part, base }) => !sameRevision(revisions[part], base))
    if (stale.length > 0) throw new SavedMeanwhile(stale.map(({ part }) => part))

    const now = new Date()
    const { parts: current } = await readTrip(tx, tripId, revisions)
    const next: StoredParts = { ...current, ...values }
    const parts = partNames.filter((name) => name in values)
    const refused = refusedChanges(access, current, next, parts)
    if (refused.length > 0) throw new NotAllowed(refused.map(refusedLine))
    checkReferences(tripWithoutLine(next), next.road.lengthKm, catalogue)

    const made: Partial<Record<PartName, Revision>> = {}
    // In the order of the work, so that what is pointed at is there before what points at it.
    for (const part of parts) {
      await write(tx, tripId, part, next[part])
      const revision = { number: revisions[part].number + 1, save }
      made[part] = revision
      const row = { version: revision.number, save, savedAt: now }
      // A part that trips have learned to have may have no row of an older trip yet.
      await tx
        .insert(partVersions)
        .values({ tripId, part, ...row })
        .onDuplicateKeyUpdate({ set: row })
    }
    await tx.update(trips).set({ updatedAt: now }).where(eq(trips.id, tripId))
    const tooOld = new Date(now.getTime() - savesKeptDays * 24 * 3600_000)
    await tx.delete(saves).where(and(eq(saves.tripId, tripId), lt(saves.at, tooOld)))
    const told = JSON.stringify(changeLines(current, next, parts))
    await tx.insert(saves).values({ tripId, save, at: now, made: JSON.stringify(made), userId, changes: told })
    return { made, revisions: { ...revisions, ...made }, access }
  })
}

/** Puts a trip in the bin, or takes it out again. */
export async function setDeleted(db: Database, ownerId: string, tripId: string, deleted: boolean): Promise<void> {
  const { access } = await standingOf(db, ownerId, tripId, 'also in the bin')
  if (access.role !== 'owner') throw new NotAllowed(['The owner of this plan throws it away. You can leave it.'])
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
export function readAnyDocument(db: Database, userId: string, tripId: string): Promise<Buffer> {
  return db.transaction(
    async (tx) => {
      const { revisions } = await standingOf(tx, userId, tripId, 'also in the bin')
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

const madeSchema = z.partialRecord(z.enum(partNames), revisionSchema)

async function madeBy(db: Connection, tripId: string, save: string): Promise<Saved['made'] | undefined> {
  const ofSave = and(eq(saves.tripId, tripId), eq(saves.save, save))
  const [row] = await db.select({ made: saves.made }).from(saves).where(ofSave)
  return row && madeSchema.parse(JSON.parse(row.made))
}

function write<P extends PartName>(db: Connection, tripId: string, part: P, value: StoredParts[P]): Promise<void> {
  return writePart[part](db, tripId, value)
}
