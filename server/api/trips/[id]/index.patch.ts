import { saveParts } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { bytesOf, mostBytes } from '../../../http/body'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'
import { doTask } from '../../../threads/pool'

/** Saves some parts of a trip, all or none; 409 when one was saved elsewhere since it was read, 403 where it is not theirs. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const bytes = await bytesOf(event, mostBytes.trip)
  const { save, changes } = await doTask('readSave', bytes, bytes.length)
  return saveParts(database(), ownerId, tripIdOf(event), save, changes)
})
