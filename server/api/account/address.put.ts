import { movePerson } from '../../accounts/people'
import { moveSchema } from '../../accounts/schema'
import { answering } from '../../http/answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { ownAccount, provePassword } from '../../http/own-account'
import { sendLater } from '../../http/post'
import { movedLetter } from '../../post/letters'
import { httpError } from '../../http/http-error'

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
