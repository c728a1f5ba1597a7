import { and, eq, isNull, or, sql } from 'drizzle-orm'
import type { Access } from '#core/access'
import { partNames, type PartName, type Revision, type Revisions } from '#core/trip'
import type { Connection } from './connection'
import { members, partVersions, trips } from './schema'

/** The trip is not there for this person: another's, or none at all. */
export class NoSuchTrip extends Error {}

/** The trip is there for this person, and this is not for them to do. */
export class NotAllowed extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join('\n'))
  }
}

const others = sql<number>`(select count(*) from ${members} as other where other.trip_id = ${trips.id})`

/** How somebody stands to a trip, and how each part of it stands. */
export interface Standing {
  readonly access: Access
  readonly revisions: Revisions
}

/** @throws NoSuchTrip where there is none that this person may see */
export async function standingOf(
  db: Connection,
  userId: string,
  tripId: string,
  which?: 'also in the bin',
): Promise<Standing> {
  const rows = await db
    .select({
      ownerId: trips.ownerId,
      ownerRider: trips.ownerRider,
      role: members.role,
      rider: members.rider,
      others: others.mapWith(Number),
      part: partVersions.part,
      number: partVersions.version,
      save: partVersions.save,
    })
    .from(trips)
    .leftJoin(members, and(eq(members.tripId, trips.id), eq(members.userId, userId)))
    .leftJoin(partVersions, eq(partVersions.tripId, trips.id))
    .where(
      and(
        eq(trips.id, tripId),
        or(eq(trips.ownerId, userId), eq(members.userId, userId)),
        which ? undefined : isNull(trips.deletedAt),
      ),
    )
  const [first] = rows
  if (!first) throw new NoSuchTrip()
  const people = first.others + 1
  const access: Access =
    first.ownerId === userId
      ? { role: 'owner', rider: first.ownerRider, people }
      : { role: first.role ?? 'reader', rider: first.rider, people }
  const revisions = new Map(rows.map(({ part, number, save }) => [part, { number: number ?? 0, save: save ?? '' }]))
  const all = Object.fromEntries(partNames.map((part) => [part, revisions.get(part) ?? { number: 0, save: '' }]))
  return { access, revisions: all as Record<PartName, Revision> }
}

/** @throws NoSuchTrip, or NotAllowed where somebody else is the owner */
export async function mustOwn(db: Connection, userId: string, tripId: string, line: string): Promise<void> {
  const { access } = await standingOf(db, userId, tripId)
  if (access.role !== 'owner') throw new NotAllowed([line])
}

/** Keeps other writers from a trip until the transaction ends. */
export async function lockTrip(tx: Connection, tripId: string): Promise<void> {
  await tx.select({ id: trips.id }).from(trips).where(eq(trips.id, tripId)).for('update')
}
