import { clearUserSession } from '#auth/session'
import { endSessionsOf } from '../accounts/sessions'
import { answering } from '../http/error-answers'
import { database } from '../http/database'
import { ownAccount } from '../http/own-account'

/** Sign out everywhere: no cookie of this person opens anything any more. */
export default answering(async (event) => {
  await endSessionsOf(database(), (await ownAccount(event)).id)
  await clearUserSession(event)
  return { signedOut: true }
})
