import { answering } from '../http/answers'

/** Sign out. */
export default answering(async (event) => {
  await clearUserSession(event)
  return { signedOut: true }
})
