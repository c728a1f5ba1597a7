import { counterQuestionSchema } from '#core/supply'
import { idSchema } from '#core/validation'
import { tripJson } from '../../../db/stored-parts'
import { readWholeTrip } from '../../../db/trips'
import { answering, tripIdOf } from '../../../http/error-answers'
import { bodyOf } from '../../../http/body'
import { database } from '../../../http/database'
import { personOf } from '../../../http/session'
import { seededRandom } from '../../../stand-ins/seeded-random'
import { inventedShops } from '../../../stand-ins/shop-counter'
import { doTask } from '../../../threads/pool'

const askSchema = counterQuestionSchema.omit({ place: true }).extend({ stop: idSchema })

const counter = inventedShops(seededRandom)

/** Asks a shop of one's own trip whether it has a part. Nothing is saved: what to make of it is for the rider. */
export default answering(async (event) => {
  const ownerId = await personOf(event)
  const asked = await bodyOf(event, askSchema)
  const { json } = await readWholeTrip(database(), ownerId, tripIdOf(event))
  const document = tripJson(json)
  const at = await doTask('counterQuestion', { document, ...asked, minutes: Date.now() / 60_000 }, document.length)
  return counter.ask(at.question, at.shop, at.locality, at.now)
})
