import { setDeleted } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'

/** Takes a trip out of the bin. */
export default answering(async (event) => {
  await setDeleted(database(), await personOf(event), tripIdOf(event), false)
  return { restored: true }
})
