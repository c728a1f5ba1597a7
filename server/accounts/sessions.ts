import { randomUUID } from 'node:crypto'
import { and, eq, gt, lt, ne } from 'drizzle-orm'
import type { Connection, Database } from '../db/connection'
import { sessions, users } from '../db/schema'
import { allOrNothing } from '../db/transaction'

/** So long a session lasts, whether it is used or not. */
export const sessionDays = 30

/** Who is signed in, as they are now. */
export interface Holder {
  readonly id: string
  readonly name: string
  readonly email: string
}

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

/** Who a session is of; undefined where there is no such session, or no longer. */
export async function holderOf(db: Database, id: string): Promise<Holder | undefined> {
  const [holder] = await db
    .select({ id: users.id, name: users.name, email: users.email })
    .from(sessions)
    .innerJoin(users, eq(users.id, sessions.userId))
    .where(and(eq(sessions.id, id), gt(sessions.createdAt, oldest())))
  return holder
}

export async function endSession(db: Database, id: string): Promise<void> {
  await db.delete(sessions).where(eq(sessions.id, id))
}

/** Signs somebody out everywhere, or everywhere else. */
export async function endSessionsOf(db: Connection, userId: string, except = ''): Promise<void> {
  await db.delete(sessions).where(and(eq(sessions.userId, userId), ne(sessions.id, except)))
}

/** Since when somebody has been signed in on each device. */
export function sessionsOf(db: Database, userId: string): Promise<{ createdAt: Date }[]> {
  return db.select({ createdAt: sessions.createdAt }).from(sessions).where(eq(sessions.userId, userId))
}
