import { setDeleted } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'

/** Puts a trip in the bin. */
export default answering(async (event) => {
  await setDeleted(database(), await personOf(event), tripIdOf(event), true)
  return { deleted: true }
})
