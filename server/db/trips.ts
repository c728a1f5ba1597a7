import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm'
import { z } from 'zod'
import { checkAgainst } from '../../core/fault'
import { checkReferences, partNames, partSchemas, tripFormat, type PartName, type Trip } from '../../core/trip'
import { catalogue } from '../../catalogue'
import type { Connection, Database } from './connection'
import { partVersions, roads, things, trips } from './schema'
import { allOrNothing } from './transaction'
import { lengthOf, readPart, readRoadWithoutLine, writePart } from './trip-rows'

export type Versions = Record<PartName, number>

/** The trip is not there for this person: another's, or none at all. */
export class NoSuchTrip extends Error {}

/** Somebody, perhaps the same person in another window, has saved these parts since they were read. */
export class SavedMeanwhile extends Error {
  constructor(readonly parts: { part: PartName; version: number; savedAt: Date }[]) {
    super(`saved in another window meanwhile: ${parts.map(({ part }) => part).join(', ')}`)
  }
}

/** One part of a trip as it shall be, and the version it was changed from. */
export interface PartChange {
  readonly part: PartName
  readonly base: number
  readonly value: unknown
}

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
): Promise<{ trip: Trip; versions: Versions }> {
  return db.transaction(
    async (tx) => {
      await ownTrip(tx, ownerId, tripId, false)
      const { lengthKm: _, ...parts } = await readAllButRoad(tx, tripId)
      return {
        trip: { format: tripFormat, ...parts, road: await readPart.road(tx, tripId) },
        versions: await readVersions(tx, tripId),
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/**
 * Saves some parts of a trip, all or none.
 *
 * @throws NoSuchTrip, SavedMeanwhile, or Faults when the trip would not hold together
 */
export async function saveParts(
  db: Database,
  ownerId: string,
  tripId: string,
  changes: readonly PartChange[],
): Promise<Versions> {
  const values = changes.map(({ part, value }) => ({ part, value: checkPart(part, value) }))
  return allOrNothing(db, async (tx) => {
    await ownTrip(tx, ownerId, tripId, true)
    const versions = await readVersions(tx, tripId)
    const stale = changes.filter(({ part, base }) => versions[part] !== base)
    if (stale.length > 0) throw new SavedMeanwhile(await savedParts(tx, tripId, stale))

    const now = new Date()
    const { lengthKm, ...current } = await readAllButRoad(tx, tripId)
    const next: Trip = {
      format: tripFormat,
      ...current,
      ...Object.fromEntries(values.map(({ part, value }) => [part, value])),
    }
    const newRoad = values.some(({ part }) => part === 'road')
    checkReferences(next, newRoad ? lengthOf(next.road) : lengthKm, catalogue)

    // In the order of the work, so that what is pointed at is there before what points at it.
    for (const part of partNames.filter((name) => values.some((value) => value.part === name))) {
      await write(tx, tripId, part, next[part])
      versions[part]++
      await tx
        .update(partVersions)
        .set({ version: versions[part], savedAt: now })
        .where(and(eq(partVersions.tripId, tripId), eq(partVersions.part, part)))
    }
    await tx.update(trips).set({ updatedAt: now }).where(eq(trips.id, tripId))
    return versions
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

async function readVersions(db: Connection, tripId: string): Promise<Versions> {
  const rows = await db.select().from(partVersions).where(eq(partVersions.tripId, tripId))
  return Object.fromEntries(rows.map(({ part, version }) => [part, version])) as Versions
}

async function savedParts(db: Connection, tripId: string, stale: readonly PartChange[]) {
  const rows = await db.select().from(partVersions).where(eq(partVersions.tripId, tripId))
  return stale.map(({ part }) => {
    const row = rows.find((candidate) => candidate.part === part)!
    return { part, version: row.version, savedAt: row.savedAt }
  })
}

function write<P extends PartName>(db: Connection, tripId: string, part: P, value: Trip[P]): Promise<void> {
  return writePart[part](db, tripId, value)
}
