import { hashPassword } from '#auth/password'
import { useRuntimeConfig } from 'nitropack/runtime'
import { setResponseStatus } from 'h3'
import { inTurn } from '../../accounts/hashing'
import { addPerson, findPerson } from '../../accounts/people'
import { signUpSchema } from '../../accounts/schema'
import { addressOf } from '../../http/address'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { httpError } from '../../http/http-error'
import { signUpLimiter } from '../../http/limiters'
import { rememberDevice, signIn } from '../../http/session'

/** Sign up. */
export default answering(async (event) => {
  const { name, email, password } = await bodyOf(event, signUpSchema, 'where')
  await signUpLimiter().attempt(addressOf(event, useRuntimeConfig().trustedProxies))
  // An address that is taken costs no hashing; one that is taken meanwhile is found when it is written.
  const free = !(await findPerson(database(), email))
  const person =
    free && (await addPerson(database(), { name, email, passwordHash: await inTurn(() => hashPassword(password)) }))
  if (!person) {
    throw httpError(409, 'Conflict', 'This address has an account already; sign in instead.')
  }
  await signIn(event, person)
  await rememberDevice(event, person.id)
  setResponseStatus(event, 201)
  return { name }
})
