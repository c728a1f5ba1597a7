import { emptyBin } from '../../db/trips'
import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { personOf } from '../../http/session'

/** Empties the bin. */
export default answering(async (event) => {
  await emptyBin(database(), await personOf(event))
  return { emptied: true }
})
