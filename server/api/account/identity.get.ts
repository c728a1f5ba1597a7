import { answering } from '../../http/error-answers'
import { database } from '../../http/database'
import { ownAccount } from '../../http/own-account'
import { readIdentity } from '../../db/identity'

/** What the signed-in person has on the card that says who they are; nobody else is told. */
export default answering(async (event) => {
  const { id } = await ownAccount(event)
  return readIdentity(database(), id)
})
