import { renamePerson } from '../../accounts/people'
import { renameSchema } from '../../accounts/schema'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount } from '../../http/own-account'

/** Changes the person's name. */
export default answering(async (event) => {
  const person = await ownAccount(event)
  const { name } = await bodyOf(event, renameSchema)
  await renamePerson(database(), person.id, name)
  return { name }
})
