import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { lookAtInvitation } from '../../sharing/invitations'
import { linkSchema } from '../../sharing/schema'

/** What a link leads to; for whoever has it, signed in or not. */
export default answering(async (event) => {
  const { token } = await bodyOf(event, linkSchema, 'where')
  return lookAtInvitation(database(), token)
})
