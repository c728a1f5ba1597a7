import { and, desc, eq, isNotNull } from 'drizzle-orm'
import { changesSchema, type Changes } from '#core/access'
import { standingOf } from '../db/access'
import type { Database } from '../db/connection'
import { saves, users } from '../db/schema'

/** One save of a trip, as the people who share it see it. */
export interface PastSave extends Changes {
  readonly at: Date
  /** Whose it was; empty where their account was closed since. */
  readonly by: string
}

/** So many of the latest saves are told. */
const mostTold = 200

/** Who changed what of a trip, the latest first. @throws NoSuchTrip */
export async function readHistory(db: Database, userId: string, tripId: string): Promise<PastSave[]> {
  await standingOf(db, userId, tripId)
  const rows = await db
    .select({ at: saves.at, by: users.name, changes: saves.changes })
    .from(saves)
    .leftJoin(users, eq(users.id, saves.userId))
    .where(and(eq(saves.tripId, tripId), isNotNull(saves.changes)))
    .orderBy(desc(saves.at), desc(saves.save))
    .limit(mostTold)
  return rows.map(({ at, by, changes }) => ({
    at,
    by: by ?? '',
    ...changesSchema.parse(JSON.parse(changes ?? '{}')),
  }))
}
