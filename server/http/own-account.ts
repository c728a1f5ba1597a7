import { verifyPassword } from '#auth/password'
import { getUserSession } from '#auth/session'
import { useRuntimeConfig } from 'nitropack/runtime'
import type { H3Event } from 'h3'
import { inTurn } from '../accounts/hashing'
import { personById, type Person } from '../accounts/people'
import { addressOf } from './address'
import { database } from './database'
import { httpError } from './http-error'
import { signInLimiter } from './limiters'
import { personOf } from './session'

/** The signed-in person's account. @throws 401, or 403 for the demo rider's, which is everybody's */
export async function ownAccount(event: H3Event): Promise<Person> {
  const person = await personById(database(), await personOf(event))
  if (!person) throw httpError(401, 'Unauthorized', 'You are not signed in, or no longer.')
  if (!person.passwordHash)
    throw httpError(
      403,
      'Forbidden',
      'The demo rider is everybody’s and stays as it is; sign up for an account of your own.',
    )
  return person
}

/**
 * Makes sure that whoever is signed in knows the password, for what a forgotten device shall not do to its owner.
 * Guesses are counted for the session alone: nobody else can use them up.
 *
 * @throws 403 when it is wrong
 */
export async function provePassword(event: H3Event, person: Person, password: string): Promise<void> {
  const { secure } = await getUserSession(event)
  const address = addressOf(event, useRuntimeConfig().trustedProxies)
  const attempt = await signInLimiter.attempt(person.email, address, secure?.session)
  if (!(await inTurn(() => verifyPassword(person.passwordHash, password))))
    throw httpError(403, 'Forbidden', 'The password is wrong.')
  await attempt.right()
}
