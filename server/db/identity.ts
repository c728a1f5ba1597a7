import { eq } from 'drizzle-orm'
import { hasIdentity, identitySchema, type Identity } from '#core/identity'
import type { Database } from './connection'
import { users } from './schema'

/** What somebody has on their card; empty where they have written nothing. */
export async function readIdentity(db: Database, userId: string): Promise<Identity> {
  const [row] = await db.select({ identity: users.identity }).from(users).where(eq(users.id, userId))
  return identitySchema.parse(row?.identity ? JSON.parse(row.identity) : {})
}

/** Keeps what somebody has on their card; of one that says nothing, nothing. */
export async function writeIdentity(db: Database, userId: string, identity: Identity): Promise<void> {
  const kept = hasIdentity(identity) ? JSON.stringify(identity) : null
  await db.update(users).set({ identity: kept }).where(eq(users.id, userId))
}
