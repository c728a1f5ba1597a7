import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, isNull, lt, sql } from 'drizzle-orm'
import { z } from 'zod'
import { checkAgainst } from '../../core/fault'
import {
  checkReferences,
  partNames,
  partSchemas,
  revisionSchema,
  sameRevision,
  tripFormat,
  type PartName,
  type Revision,
  type Revisions,
  type Trip,
} from '../../core/trip'
import { catalogue } from '../../catalogue'
import type { Connection, Database } from './connection'
import { partVersions, roads, saves, things, trips } from './schema'
import { allOrNothing } from './transaction'
import { lengthOf, readPart, readRoadWithoutLine, writePart } from './trip-rows'

/** The trip is not there for this person: another's, or none at all. */
export class NoSuchTrip extends Error {}

/** Somebody, perhaps the same person on another device, has saved these parts since they were read. */
export class SavedMeanwhile extends Error {
  constructor(readonly parts: readonly PartName[]) {
    super(`saved elsewhere meanwhile: ${parts.join(', ')}`)
  }
}

/** One part of a trip as it shall be, and the revision it was changed from. */
export interface PartChange {
  readonly part: PartName
  readonly base: Revision
  readonly value: unknown
}

/** What a save made, and how all parts stand now. */
export interface Saved {
  readonly made: Partial<Record<PartName, Revision>>
  readonly revisions: Revisions
}

/** A device that has been away for so long has its save done again, or is told of a conflict. */
const savesKeptDays = 60

/** A person's trips, the one changed last first. */
export async function listTrips(db: Database, ownerId: string) {
  return db
    .select({
      id: trips.id,
      name: trips.name,
      updatedAt: trips.updatedAt,
      lengthKm: roads.lengthKm,
      things: sql<number>`(select count(*) from ${things} where ${things.tripId} = ${trips.id})`.mapWith(Number),
    })
    .from(trips)
    .leftJoin(roads, eq(roads.tripId, trips.id))
    .where(and(eq(trips.ownerId, ownerId), isNull(trips.deletedAt)))
    .orderBy(desc(trips.updatedAt), asc(trips.name))
}

/** Writes a checked trip document as a new trip. */
export async function createTrip(db: Database, ownerId: string, trip: Trip): Promise<string> {
  const id = randomUUID()
  const now = new Date()
  await allOrNothing(db, async (tx) => {
    await tx.insert(trips).values({ id, ownerId, name: trip.name, createdAt: now, updatedAt: now })
    await tx.insert(partVersions).values(partNames.map((part) => ({ tripId: id, part, version: 1, savedAt: now })))
    for (const part of partNames) await write(tx, id, part, trip[part])
  })
  return id
}

/** A whole trip document with the version of each part. */
export async function readTripDocument(
  db: Database,
  ownerId: string,
  tripId: string,
): Promise<{ trip: Trip; revisions: Revisions }> {
  return db.transaction(
    async (tx) => {
      await ownTrip(tx, ownerId, tripId, false)
      const { lengthKm: _, ...parts } = await readAllButRoad(tx, tripId)
      return {
        trip: { format: tripFormat, ...parts, road: await readPart.road(tx, tripId) },
        revisions: await revisionsOf(tx, tripId),
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** How each part of a trip stands, without the trip. */
export async function readRevisions(db: Database, ownerId: string, tripId: string): Promise<Revisions> {
  return db.transaction(
    async (tx) => {
      await ownTrip(tx, ownerId, tripId, false)
      return revisionsOf(tx, tripId)
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/**
 * Saves some parts of a trip, all or none. Offered again under the same name, nothing is done, and the answer is that
 * of the first time.
 *
 * @param save the name of this save
 * @throws NoSuchTrip, SavedMeanwhile, or Faults when the trip would not hold together
 */
export async function saveParts(
  db: Database,
  ownerId: string,
  tripId: string,
  save: string,
  changes: readonly PartChange[],
): Promise<Saved> {
  return allOrNothing(db, async (tx) => {
    await ownTrip(tx, ownerId, tripId, true)
    const revisions = await revisionsOf(tx, tripId)
    // What was done once is not refused by what has become stricter since: the device would take it for not done.
    const done = await madeBy(tx, tripId, save)
    if (done) return { made: done, revisions }
    const values = changes.map(({ part, value }) => ({ part, value: checkPart(part, value) }))
    const stale = changes.filter(({ part, base }) => !sameRevision(revisions[part], base))
    if (stale.length > 0) throw new SavedMeanwhile(stale.map(({ part }) => part))

    const now = new Date()
    const { lengthKm, ...current } = await readAllButRoad(tx, tripId)
    const next: Trip = {
      format: tripFormat,
      ...current,
      ...Object.fromEntries(values.map(({ part, value }) => [part, value])),
    }
    const newRoad = values.some(({ part }) => part === 'road')
    checkReferences(next, newRoad ? lengthOf(next.road) : lengthKm, catalogue)

    const made: Partial<Record<PartName, Revision>> = {}
    // In the order of the work, so that what is pointed at is there before what points at it.
    for (const part of partNames.filter((name) => values.some((value) => value.part === name))) {
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

async function ownTrip(db: Connection, ownerId: string, tripId: string, lock: boolean): Promise<void> {
  const query = db
    .select({ id: trips.id })
    .from(trips)
    .where(and(eq(trips.id, tripId), eq(trips.ownerId, ownerId), isNull(trips.deletedAt)))
  const [row] = await (lock ? query.for('update') : query)
  if (!row) throw new NoSuchTrip()
}

function checkPart(part: PartName, value: unknown): Trip[PartName] {
  // Wrapped, so that a fault says which part it is in: "bench[3].massG".
  return checkAgainst(z.object({ [part]: partSchemas[part] }), { [part]: value })[part]!
}

async function readAllButRoad(db: Connection, tripId: string) {
  const { road, lengthKm } = await readRoadWithoutLine(db, tripId)
  return {
    road,
    lengthKm,
    name: await readPart.name(db, tripId),
    ride: await readPart.ride(db, tripId),
    forecast: await readPart.forecast(db, tripId),
    stops: await readPart.stops(db, tripId),
    bikes: await readPart.bikes(db, tripId),
    crew: await readPart.crew(db, tripId),
    bench: await readPart.bench(db, tripId),
    dials: await readPart.dials(db, tripId),
  }
}

async function revisionsOf(db: Connection, tripId: string): Promise<Revisions> {
  const rows = await db.select().from(partVersions).where(eq(partVersions.tripId, tripId))
  const revisions = new Map(rows.map(({ part, version, save }) => [part, { number: version, save }]))
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

function write<P extends PartName>(db: Connection, tripId: string, part: P, value: Trip[P]): Promise<void> {
  return writePart[part](db, tripId, value)
}
