import { randomUUID } from 'node:crypto'
import { eq } from 'drizzle-orm'
import type { Database } from '../db/connection'
import { users } from '../db/schema'

export interface Person {
  readonly id: string
  readonly name: string
  readonly email: string
  readonly passwordHash: string
}

export async function findPerson(db: Database, email: string): Promise<Person | undefined> {
  const [person] = await db.select().from(users).where(eq(users.email, email))
  return person
}

/** Opens an account; undefined when the address has one already. */
export async function addPerson(
  db: Database,
  { name, email, passwordHash }: Omit<Person, 'id'>,
): Promise<Person | undefined> {
  const person = { id: randomUUID(), name, email, passwordHash }
  try {
    await db.insert(users).values({ ...person, createdAt: new Date() })
  } catch (error) {
    const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error
    if (cause instanceof Error && 'code' in cause && cause.code === 'ER_DUP_ENTRY') return undefined
    throw error
  }
  return person
}
