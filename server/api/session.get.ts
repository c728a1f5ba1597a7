import { answering } from '../http/answers'
import { signedIn } from '../http/session'

/** Who is signed in on this device; nobody where it is signed out, here or from elsewhere. */
export default answering(async (event) => ({ user: (await signedIn(event)) ?? null }))
