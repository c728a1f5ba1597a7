import { randomUUID } from 'node:crypto'
import { and, eq, ne, sql } from 'drizzle-orm'
import { changedPlanning, planningSchema, type Planning, type PlanningChange } from '#core/reference'
import type { Database } from './connection'
import { dials, partVersions, trips, users } from './schema'
import { allOrNothing } from './transaction'

/** Planning values as a column keeps them: JSON, and null where there are none. */
export const planningColumn = (planning: Planning): string | null =>
  Object.keys(planning).length > 0 ? JSON.stringify(planning) : null
export const planningOf = (column: string | null): Planning =>
  planningSchema.parse(column === null ? {} : JSON.parse(column))

/**
 * Changes planning values in all of a person's trips, those in the bin too, and in those to come; all or none.
 *
 * @param besides a trip that is left as it is: whoever has it open changes it there
 * @returns what holds for trips to come, and how many trips were changed
 */
export async function planAllTrips(
  db: Database,
  ownerId: string,
  change: PlanningChange,
  besides: string | null,
): Promise<{ planning: Planning; trips: number }> {
  return allOrNothing(db, async (tx) => {
    const [person] = await tx.select({ own: users.planning }).from(users).where(eq(users.id, ownerId)).for('update')
    const planning = changedPlanning(planningOf(person?.own ?? null), change)
    await tx
      .update(users)
      .set({ planning: planningColumn(planning) })
      .where(eq(users.id, ownerId))
    const rows = await tx
      .select({ tripId: trips.id, column: dials.planning })
      .from(trips)
      .innerJoin(dials, eq(dials.tripId, trips.id))
      .where(and(eq(trips.ownerId, ownerId), besides === null ? undefined : ne(trips.id, besides)))
      .orderBy(trips.id)
      .for('update')
    const changed = rows
      .map(({ tripId, column }) => ({
        tripId,
        column,
        next: planningColumn(changedPlanning(planningOf(column), change)),
      }))
      .filter(({ column, next }) => next !== column)
    const [save, now] = [randomUUID(), new Date()]
    for (const { tripId, next } of changed) {
      await tx.update(dials).set({ planning: next }).where(eq(dials.tripId, tripId))
      await tx
        .update(partVersions)
        .set({ version: sql`${partVersions.version} + 1`, save, savedAt: now })
        .where(and(eq(partVersions.tripId, tripId), eq(partVersions.part, 'dials')))
      await tx.update(trips).set({ updatedAt: now }).where(eq(trips.id, tripId))
    }
    return { planning, trips: changed.length }
  })
}
