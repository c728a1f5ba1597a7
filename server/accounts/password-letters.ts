import { createHash, randomBytes } from 'node:crypto'
import { and, eq, gt, lt } from 'drizzle-orm'
import type { Database } from '../db/connection'
import { passwordLetters } from '../db/schema'
import { allOrNothing } from '../db/transaction'
import { setPasswordHash } from './people'
import { endSessionsOf } from './sessions'

/** So long a letter lets somebody choose a new password. */
export const letterMinutes = 60

const oldest = () => new Date(Date.now() - letterMinutes * 60_000)
/** Whoever reads the table cannot make a letter of it. */
const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/**
 * Allows a person to choose a new password. Letters that were written before go on being good: whoever asks for them in
 * somebody else's name shall not make them worthless.
 *
 * @returns what is to stand in the letter, and nowhere else
 */
export async function writePasswordLetter(db: Database, userId: string): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await db.delete(passwordLetters).where(lt(passwordLetters.createdAt, oldest()))
  await db.insert(passwordLetters).values({ tokenHash: hashOf(token), userId, createdAt: new Date() })
  return token
}

/** Whose letter it is; undefined where it is none, has been used or is too old. */
export async function readPasswordLetter(db: Database, token: string): Promise<string | undefined> {
  const [letter] = await db
    .select({ userId: passwordLetters.userId })
    .from(passwordLetters)
    .where(and(eq(passwordLetters.tokenHash, hashOf(token)), gt(passwordLetters.createdAt, oldest())))
  return letter?.userId
}

/**
 * Uses a letter: the password is set, whoever was signed in is no longer, and no letter of the person is good any more.
 *
 * @returns false where somebody else was quicker
 */
export function usePasswordLetter(db: Database, token: string, userId: string, passwordHash: string): Promise<boolean> {
  return allOrNothing(db, async (tx) => {
    const [{ affectedRows }] = await tx.delete(passwordLetters).where(eq(passwordLetters.tokenHash, hashOf(token)))
    if (affectedRows !== 1) return false
    await tx.delete(passwordLetters).where(eq(passwordLetters.userId, userId))
    await setPasswordHash(tx, userId, passwordHash)
    await endSessionsOf(tx, userId)
    return true
  })
}
