import { randomUUID } from 'node:crypto'
import { and, eq, gt, lt } from 'drizzle-orm'
import type { Database } from '../db/connection'
import { sessions } from '../db/schema'
import { allOrNothing } from '../db/transaction'

/** So long a session lasts, whether it is used or not. */
export const sessionDays = 30

const oldest = () => new Date(Date.now() - sessionDays * 24 * 3600_000)

/** @returns the session's id, for the cookie */
export async function openSession(db: Database, userId: string): Promise<string> {
  const id = randomUUID()
  await allOrNothing(db, async (tx) => {
    await tx.delete(sessions).where(lt(sessions.createdAt, oldest()))
    await tx.insert(sessions).values({ id, userId, createdAt: new Date() })
  })
  return id
}

export async function isOpen(db: Database, id: string, userId: string): Promise<boolean> {
  const found = await db
    .select({ id: sessions.id })
    .from(sessions)
    .where(and(eq(sessions.id, id), eq(sessions.userId, userId), gt(sessions.createdAt, oldest())))
  return found.length > 0
}

export async function endSession(db: Database, id: string): Promise<void> {
  await db.delete(sessions).where(eq(sessions.id, id))
}

/** Signs somebody out everywhere. */
export async function endSessionsOf(db: Database, userId: string): Promise<void> {
  await db.delete(sessions).where(eq(sessions.userId, userId))
}
