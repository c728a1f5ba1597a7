import { readRevisions } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'

/** How each part of a trip stands: whether somebody has saved it since. */
export default answering(async (event) => readRevisions(database(), await personOf(event), tripIdOf(event)))
