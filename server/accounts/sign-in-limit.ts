import { and, count, gt, inArray, lt } from 'drizzle-orm'
import type { Database } from '../db/connection'
import { signInFailures } from '../db/schema'

/** So many failures in so many minutes, for one account or from one address, and sign-in pauses. */
export const signInLimit = { perAccount: 6, perAddress: 30, minutes: 15 } as const

const since = () => new Date(Date.now() - signInLimit.minutes * 60_000)

/** Whether another attempt is allowed now. */
export async function maySignIn(db: Database, email: string, address: string): Promise<boolean> {
  const subjects = { [`account ${email}`]: signInLimit.perAccount, [`address ${address}`]: signInLimit.perAddress }
  const rows = await db
    .select({ subject: signInFailures.subject, failures: count() })
    .from(signInFailures)
    .where(and(inArray(signInFailures.subject, Object.keys(subjects)), gt(signInFailures.at, since())))
    .groupBy(signInFailures.subject)
  return rows.every(({ subject, failures }) => failures < subjects[subject]!)
}

/** Notes a failed attempt, and forgets those too old to count. */
export async function noteFailure(db: Database, email: string, address: string): Promise<void> {
  const at = new Date()
  await db.insert(signInFailures).values([
    { subject: `account ${email}`, at },
    { subject: `address ${address}`, at },
  ])
  await db.delete(signInFailures).where(lt(signInFailures.at, since()))
}

/** A right password wipes the slate of its account. */
export async function forgetFailures(db: Database, email: string): Promise<void> {
  await db.delete(signInFailures).where(inArray(signInFailures.subject, [`account ${email}`]))
}
