import { randomUUID } from 'node:crypto'
import { eq } from 'drizzle-orm'
import type { Connection, Database } from '../db/connection'
import { users } from '../db/schema'
import { allOrNothing } from '../db/transaction'
import { leaveTripsToOthers } from '../sharing/people'

export interface Person {
  readonly id: string
  readonly name: string
  readonly email: string
  readonly passwordHash: string
  readonly createdAt: Date
  readonly planning: string | null
}

export async function findPerson(db: Database, email: string): Promise<Person | undefined> {
  const [person] = await db.select().from(users).where(eq(users.email, email))
  return person
}

/** Somebody who is signed in; undefined where the account was closed meanwhile. */
export async function personById(db: Database, id: string): Promise<Person | undefined> {
  const [person] = await db.select().from(users).where(eq(users.id, id))
  return person
}

/** Opens an account; undefined when the address has one already. */
export async function addPerson(
  db: Database,
  { name, email, passwordHash }: Pick<Person, 'name' | 'email' | 'passwordHash'>,
): Promise<Person | undefined> {
  // The column keeps whole seconds.
  const createdAt = new Date(Math.floor(Date.now() / 1000) * 1000)
  const person = { id: randomUUID(), name, email, passwordHash, createdAt, planning: null }
  return (await unlessTaken(db.insert(users).values(person))) ? person : undefined
}

/** Gives an account another address; false when that has one already. */
export function movePerson(db: Database, id: string, email: string): Promise<boolean> {
  return unlessTaken(db.update(users).set({ email }).where(eq(users.id, id)))
}

export async function renamePerson(db: Database, id: string, name: string): Promise<void> {
  await db.update(users).set({ name }).where(eq(users.id, id))
}

export async function setPasswordHash(db: Connection, id: string, passwordHash: string): Promise<void> {
  await db.update(users).set({ passwordHash }).where(eq(users.id, id))
}

/** Closes an account: with the person goes whatever is theirs, in every table, but trips that others ride with them. */
export async function removePerson(db: Database, id: string): Promise<void> {
  // A device that saves at the same moment may be in its way.
  await allOrNothing(db, async (tx) => {
    await leaveTripsToOthers(tx, id)
    await tx.delete(users).where(eq(users.id, id))
  })
}

/** Does what gives an account an address; false when that has an account already. */
async function unlessTaken(work: PromiseLike<unknown>): Promise<boolean> {
  try {
    await work
    return true
  } catch (error) {
    const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error
    if (cause instanceof Error && 'code' in cause && cause.code === 'ER_DUP_ENTRY') return false
    throw error
  }
}
