import { hashPassword, verifyPassword } from '#auth/password'
import { useRuntimeConfig } from 'nitropack/runtime'
import { inTurn } from '../accounts/hashing'
import { findPerson } from '../accounts/people'
import { signInSchema } from '../accounts/schema'
import { addressOf } from '../http/address'
import { answering } from '../http/error-answers'
import { bodyOf } from '../http/body'
import { database } from '../http/database'
import { httpError } from '../http/http-error'
import { signInLimiter } from '../http/limiters'
import { knownDevice, rememberDevice, signIn } from '../http/session'

/** Sign in. The answer is the same for a wrong address and a wrong password. */
export default answering(async (event) => {
  const { email, password } = await bodyOf(event, signInSchema, 'where')
  const person = await findPerson(database(), email)
  const attempt = await signInLimiter.attempt(
    email,
    addressOf(event, useRuntimeConfig().trustedProxies),
    await knownDevice(event, person?.id),
  )
  // The same work is done for an address without an account, so that time does not tell.
  const right = await inTurn(() =>
    person?.passwordHash ? verifyPassword(person.passwordHash, password) : hashPassword(password).then(() => false),
  )
  if (!person || !right) {
    throw httpError(401, 'Unauthorized', 'The address or the password is wrong.')
  }
  await attempt.right()
  await signIn(event, person)
  await rememberDevice(event, person.id)
  return { name: person.name }
})
