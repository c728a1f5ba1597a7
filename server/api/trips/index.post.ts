import { z } from 'zod'
import { readTrip } from '../../../core/trip'
import { catalogue } from '../../../catalogue'
import { createTrip } from '../../db/trips'
import { answering, bodyOf, personOf } from '../../http/answers'
import { database } from '../../http/database'

/** A new trip from a trip document: begun afresh or imported. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const document = await bodyOf(event, z.unknown())
  const id = await createTrip(database(), ownerId, readTrip(document, catalogue))
  setResponseStatus(event, 201)
  return { id }
})
