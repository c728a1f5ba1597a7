import { answering } from '../http/error-answers'
import { sendsLetters } from '../http/mail'
import { signedIn } from '../http/session'

/** Who is signed in on this device, nobody where it is signed out, here or from elsewhere; and whether letters can be sent. */
export default answering(async (event) => ({ user: (await signedIn(event)) ?? null, sendsLetters: sendsLetters() }))
