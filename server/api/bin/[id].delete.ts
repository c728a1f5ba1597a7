import { emptyBin } from '../../db/trips'
import { answering, tripIdOf } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** Takes one trip of the bin away for good. */
export default answering(async (event) => {
  await emptyBin(database(), await personOf(event), tripIdOf(event))
  return { gone: true }
})
