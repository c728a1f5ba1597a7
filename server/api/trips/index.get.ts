import { listTrips } from '../../db/trips'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** The signed-in person's trips. */
export default answering(async (event) => listTrips(database(), await personOf(event)))
