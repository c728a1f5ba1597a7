import { setDeleted } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'

/** Puts a trip in the bin. */
export default answering(async (event) => {
  await setDeleted(database(), await personOf(event), tripIdOf(event), true)
  return { deleted: true }
})
