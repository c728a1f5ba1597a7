import { setDeleted } from '../../../db/trips'
import { answering, personOf, tripIdOf } from '../../../http/answers'
import { database } from '../../../http/database'

/** Takes a trip out of the bin. */
export default answering(async (event) => {
  await setDeleted(database(), await personOf(event), tripIdOf(event), false)
  return { restored: true }
})
