import { hashPassword } from '#auth/password'
import { inTurn } from '../../accounts/hashing'
import { readPasswordLetter, usePasswordLetter } from '../../accounts/password-letters'
import { personById } from '../../accounts/people'
import { letterSchema } from '../../accounts/schema'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { httpError } from '../../http/http-error'
import { sendLater } from '../../http/mail'
import { rememberDevice, signIn } from '../../http/session'
import { passwordChangedLetter } from '../../mail/letters'

/** Chooses a new password, by a letter, and signs in with it. */
export default answering(async (event) => {
  const { token, newPassword } = await bodyOf(event, letterSchema, 'where')
  // What is no letter costs no hashing.
  const id = await readPasswordLetter(database(), token)
  const used =
    id !== undefined && (await usePasswordLetter(database(), token, id, await inTurn(() => hashPassword(newPassword))))
  const person = used ? await personById(database(), id) : undefined
  if (!person) throw httpError(410, 'Gone', 'This letter has been used, or is too old. Ask for another one.')
  await signIn(event, person)
  await rememberDevice(event, person.id)
  sendLater(event, async (place) => passwordChangedLetter(person.email, place))
  return { name: person.name }
})
