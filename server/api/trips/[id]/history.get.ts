import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'
import { readHistory } from '../../../sharing/history'

/** Who changed what of a trip, the latest first. */
export default answering(async (event) => readHistory(database(), await personOf(event), tripIdOf(event)))
