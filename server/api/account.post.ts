import { addPerson } from '../accounts/people'
import { signUpSchema } from '../accounts/schema'
import { answering } from '../http/answers'
import { bodyOf } from '../http/body'
import { database } from '../http/database'

/** Sign up. */
export default answering(async (event) => {
  const { name, email, password } = await bodyOf(event, signUpSchema, 'where')
  const person = await addPerson(database(), { name, email, passwordHash: await hashPassword(password) })
  if (!person) {
    throw createError({
      statusCode: 409,
      statusMessage: 'Conflict',
      data: { lines: ['This address has an account already; sign in instead.'] },
    })
  }
  await setUserSession(event, { user: { id: person.id, name, email } })
  setResponseStatus(event, 201)
  return { name }
})
