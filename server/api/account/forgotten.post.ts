import { useRuntimeConfig } from 'nitropack/runtime'
import { setResponseStatus } from 'h3'
import { writePasswordLetter } from '../../accounts/password-letters'
import { findPerson } from '../../accounts/people'
import { forgottenSchema } from '../../accounts/schema'
import { addressOf } from '../../http/address'
import { answering } from '../../http/error-answers'
import { bodyOf } from '../../http/body'
import { database } from '../../http/database'
import { httpError } from '../../http/http-error'
import { letterLimiter } from '../../http/limiters'
import { sendLater, sendsLetters } from '../../http/mail'
import { newPasswordLetter } from '../../mail/letters'

/** Asks for a letter that lets one choose a new password. The answer is the same for an address without an account. */
export default answering(async (event) => {
  if (!sendsLetters()) throw httpError(404, 'Not Found')
  const { email } = await bodyOf(event, forgottenSchema)
  await letterLimiter.attempt(email, addressOf(event, useRuntimeConfig().trustedProxies))
  sendLater(event, async (place) => {
    const person = await findPerson(database(), email)
    return person?.passwordHash
      ? newPasswordLetter(person.email, place, await writePasswordLetter(database(), person.id))
      : undefined
  })
  setResponseStatus(event, 202)
  return { asked: true }
})
