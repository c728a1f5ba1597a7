import { standingOf } from '../../../db/access'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'

/** How each part of a trip stands: whether somebody has saved it since; and how one stands to it. */
export default answering(async (event) => standingOf(database(), await personOf(event), tripIdOf(event)))
