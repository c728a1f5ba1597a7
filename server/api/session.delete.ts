import { clearUserSession, getUserSession } from '#auth/session'
import { endSession } from '../accounts/sessions'
import { answering } from '../http/error-answers'
import { database } from '../http/database'

/** Sign out. */
export default answering(async (event) => {
  const { secure } = await getUserSession(event)
  if (secure) await endSession(database(), secure.session)
  await clearUserSession(event)
  return { signedOut: true }
})
