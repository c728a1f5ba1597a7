import { clearUserSession } from '#auth/session'
import { removePerson } from '../../accounts/people'
import { closeSchema } from '../../accounts/schema'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount, provePassword } from '../../http/own-account'
import { letterBox } from '../../http/mail'

/** Closes the account: nothing of it stays. */
export default answering(async (event) => {
  const person = await ownAccount(event)
  const { password } = await bodyOf(event, closeSchema, 'where')
  await provePassword(event, person, password)
  await removePerson(database(), person.id)
  letterBox()?.forget(person.email)
  await clearUserSession(event)
  return { closed: true }
})
