import { listTrips } from '../../db/trips'
import { answering, personOf } from '../../http/answers'
import { database } from '../../http/database'

/** The signed-in person's trips. */
export default answering(async (event) => listTrips(database(), await personOf(event)))
