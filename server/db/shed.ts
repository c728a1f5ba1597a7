import { and, asc, eq, inArray, sql } from 'drizzle-orm'
import { mostOwned, ownedThingSchema, type SavedThing, type ShedChange } from '#core/shed'
import { Refusal } from '../refusal'
import type { Connection, Database } from './connection'
import { shedThings, users } from './schema'
import { allOrNothing } from './transaction'

/** Some things have been saved since they were read, perhaps by the same person in another window. */
export class ThingsSavedMeanwhile extends Error {
  constructor(readonly stale: readonly SavedThing[]) {
    super('saved elsewhere meanwhile')
  }
}

/** What somebody owns, in the order of their ids. */
export async function readShed(db: Connection, userId: string, ids?: readonly string[]): Promise<SavedThing[]> {
  const own = eq(shedThings.userId, userId)
  const rows = await db
    .select()
    .from(shedThings)
    .where(ids ? and(own, inArray(shedThings.id, [...ids])) : own)
    .orderBy(asc(shedThings.id))
  return rows.map(({ id, version, thing }) => ({ id, version, thing: ownedThingSchema.parse(JSON.parse(thing)) }))
}

/**
 * Saves things of somebody's shed, all or none. What is there already just as it is offered has been saved before, its
 * answer being lost.
 *
 * @param save the name of this save
 * @returns the things as they stand now
 * @throws ThingsSavedMeanwhile, or Refusal where the shed would be too full
 */
export async function saveShed(
  db: Database,
  userId: string,
  save: string,
  changes: readonly ShedChange[],
): Promise<SavedThing[]> {
  return allOrNothing(db, async (tx) => {
    // One save of a shed at a time.
    await tx.select({ id: users.id }).from(users).where(eq(users.id, userId)).for('update')
    const known = await readShed(
      tx,
      userId,
      changes.map(({ id }) => id),
    )
    const there = new Map(known.map((each) => [each.id, each]))
    const standing = (id: string): SavedThing => there.get(id) ?? { id, version: '', thing: null }
    const isDone = ({ id, thing }: ShedChange) => JSON.stringify(standing(id).thing) === JSON.stringify(thing)
    const open = changes.filter((change) => !isDone(change))
    const stale = open.filter(({ id, base }) => standing(id).version !== base)
    if (stale.length > 0) throw new ThingsSavedMeanwhile(stale.map(({ id }) => standing(id)))

    for (const { id, thing } of open) {
      const own = and(eq(shedThings.userId, userId), eq(shedThings.id, id))
      if (thing === null) await tx.delete(shedThings).where(own)
      else {
        const row = { version: save, thing: JSON.stringify(thing) }
        await tx
          .insert(shedThings)
          .values({ userId, id, ...row })
          .onDuplicateKeyUpdate({ set: row })
      }
    }
    const [count] = await tx
      .select({ things: sql<number>`count(*)`.mapWith(Number) })
      .from(shedThings)
      .where(eq(shedThings.userId, userId))
    if ((count?.things ?? 0) > mostOwned) {
      throw new Refusal([`the shed: more than ${mostOwned} things; take some away first. Nothing of this was saved.`])
    }
    const saved = new Set(open.map(({ id }) => id))
    return changes.map(({ id, thing }) =>
      saved.has(id) ? { id, version: thing === null ? '' : save, thing } : standing(id),
    )
  })
}
