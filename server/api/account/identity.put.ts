import { identitySchema } from '#core/identity'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount } from '../../http/own-account'
import { writeIdentity } from '../../db/identity'

/** Keeps what the signed-in person has on their card. */
export default answering(async (event) => {
  const { id } = await ownAccount(event)
  const identity = await bodyOf(event, identitySchema)
  await writeIdentity(database(), id, identity)
  return identity
})
