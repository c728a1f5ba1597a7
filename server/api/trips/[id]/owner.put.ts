import { answering, tripIdOf } from '../../../http/error-answers'
import { bodyOf } from '../../../http/body'
import { database } from '../../../http/database'
import { ownAccount } from '../../../http/own-account'
import { handOverTrip } from '../../../sharing/people'
import { handOverSchema } from '../../../sharing/schema'

/** Hands a trip over to somebody who shares it. */
export default answering(async (event) => {
  const { id } = await ownAccount(event)
  const { person } = await bodyOf(event, handOverSchema)
  await handOverTrip(database(), id, tripIdOf(event), person)
  return { handedOver: true }
})
