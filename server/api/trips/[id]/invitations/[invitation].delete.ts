import { getRouterParam } from 'h3'
import { answering, tripIdOf } from '../../../../http/error-answers'
import { database } from '../../../../http/database'
import { personOf } from '../../../../http/session'
import { revoke } from '../../../../sharing/invitations'

/** Makes a link worthless. */
export default answering(async (event) => {
  await revoke(database(), await personOf(event), tripIdOf(event), getRouterParam(event, 'invitation') ?? '')
  return { revoked: true }
})
