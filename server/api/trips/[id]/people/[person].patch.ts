import { getRouterParam } from 'h3'
import { answering, tripIdOf } from '../../../../http/error-answers'
import { bodyOf } from '../../../../http/body'
import { database } from '../../../../http/database'
import { ownAccount } from '../../../../http/own-account'
import { changePersonOfTrip } from '../../../../sharing/people'
import { personChangeSchema } from '../../../../sharing/schema'

/** The owner says what somebody may do, or who of the crew they are. */
export default answering(async (event) => {
  const { id } = await ownAccount(event)
  const change = await bodyOf(event, personChangeSchema)
  await changePersonOfTrip(database(), id, tripIdOf(event), getRouterParam(event, 'person') ?? '', change)
  return { changed: true }
})
