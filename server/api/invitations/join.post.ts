import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount } from '../../http/own-account'
import { join } from '../../sharing/invitations'
import { linkSchema } from '../../sharing/schema'

/** Joins a trip by a link. @returns which one it is */
export default answering(async (event) => {
  const { id } = await ownAccount(event)
  const { token } = await bodyOf(event, linkSchema, 'where')
  return { trip: await join(database(), id, token) }
})
