import { setResponseStatus } from 'h3'
import { answering, tripIdOf } from '../../../../http/error-answers'
import { bodyOf } from '../../../../http/body'
import { database } from '../../../../http/database'
import { ownAccount } from '../../../../http/own-account'
import { invite } from '../../../../sharing/invitations'
import { inviteSchema } from '../../../../sharing/schema'

/** Makes a link that lets somebody join a trip; what stands in it is told this once. */
export default answering(async (event) => {
  const { id } = await ownAccount(event)
  const asked = await bodyOf(event, inviteSchema)
  const made = await invite(database(), id, tripIdOf(event), asked)
  setResponseStatus(event, 201)
  return made
})
