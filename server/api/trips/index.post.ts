import { readTrip } from '../../../core/trip'
import { catalogue } from '../../../catalogue'
import { createTrip } from '../../db/trips'
import { answering, personOf } from '../../http/answers'
import { bytesOf, jsonOf, mostBytes } from '../../http/body'
import { database } from '../../http/database'

/** A new trip from a trip document: begun afresh or imported. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const document = jsonOf(await bytesOf(event, mostBytes.trip))
  const id = await createTrip(database(), ownerId, readTrip(document, catalogue))
  setResponseStatus(event, 201)
  return { id }
})
