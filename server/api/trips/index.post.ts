import { setResponseStatus } from 'h3'
import { createTrip } from '../../db/trips'
import { answering } from '../../http/error-answers'
import { bytesOf, mostBytes } from '../../http/body'
import { database } from '../../http/database'
import { personOf } from '../../http/session'
import { doTask } from '../../threads/pool'

/** A new trip from a trip document: begun afresh or imported. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const bytes = await bytesOf(event, mostBytes.trip)
  const id = await createTrip(database(), ownerId, await doTask('readDocument', bytes, bytes.length))
  setResponseStatus(event, 201)
  return { id }
})
