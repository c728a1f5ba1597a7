import { findPerson } from '../accounts/people'
import { signInSchema } from '../accounts/schema'
import { forgetFailures, maySignIn, noteFailure, signInLimit } from '../accounts/sign-in-limit'
import { answering } from '../http/answers'
import { bodyOf } from '../http/body'
import { database } from '../http/database'

/** Sign in. The answer is the same for a wrong address and a wrong password. */
export default answering(async (event) => {
  const { email, password } = await bodyOf(event, signInSchema, 'where')
  const address = getRequestIP(event) ?? 'unknown'
  const db = database()
  if (!(await maySignIn(db, email, address))) {
    setHeader(event, 'retry-after', signInLimit.minutes * 60)
    throw createError({
      statusCode: 429,
      statusMessage: 'Too Many Requests',
      data: { lines: [`Too many attempts; try again in ${signInLimit.minutes} minutes.`] },
    })
  }
  const person = await findPerson(db, email)
  const right = person && person.passwordHash !== '' && (await verifyPassword(person.passwordHash, password))
  if (!person || !right) {
    // The same work is done for an address without an account, so that time does not tell.
    if (!person) await hashPassword(password)
    await noteFailure(db, email, address)
    throw createError({
      statusCode: 401,
      statusMessage: 'Unauthorized',
      data: { lines: ['The address or the password is wrong.'] },
    })
  }
  await forgetFailures(db, email)
  await setUserSession(event, { user: { id: person.id, name: person.name, email } })
  return { name: person.name }
})
