import { listBin } from '../../db/trips'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** The trips that the signed-in person has thrown away. */
export default answering(async (event) => listBin(database(), await personOf(event)))
