import { movePerson } from '../../accounts/people'
import { moveSchema } from '../../accounts/schema'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { httpError } from '../../http/http-error'
import { ownAccount, provePassword } from '../../http/own-account'
import { sendLater } from '../../http/mail'
import { movedLetter } from '../../mail/letters'

/** Changes the address that the person signs in with. */
export default answering(async (event) => {
  const person = await ownAccount(event)
  const { email, password } = await bodyOf(event, moveSchema, 'where')
  await provePassword(event, person, password)
  if (email !== person.email) {
    if (!(await movePerson(database(), person.id, email)))
      throw httpError(409, 'Conflict', 'This address has an account already.')
    sendLater(event, async (place) => movedLetter(person.email, place))
  }
  return { email }
})
