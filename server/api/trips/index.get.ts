import { listShared, listTrips } from '../../db/trips'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** The signed-in person's trips, and those of others that they share, each with how they stand to it. */
export default answering(async (event) => {
  const userId = await personOf(event)
  const own = await listTrips(database(), userId)
  const trips = [
    ...own.map((trip) => ({ ...trip, role: 'owner' as const, owner: '' })),
    ...(await listShared(database(), userId)),
  ]
  return trips.sort((a, b) => b.updatedAt.getTime() - a.updatedAt.getTime())
})
