import { z } from 'zod'
import { text } from '#core/validation'

/** One address is one account, however its letters are put together and whether they are large or small. */
const anyEmail = text(190).trim().normalize('NFC').toLowerCase()

/** One that a letter can be sent to, and to nobody else: RFC 5322's specials would make a list of it, or a name. */
const email = anyEmail.regex(
  /^[^\s@,;:<>()[\]"\\]+@[^\s@,;:<>()[\]"\\]+$/,
  'an e-mail address such as rider@example.org',
)

const name = text(120).trim().min(1)
/** NIST SP 800-63B: length is what counts; at least 8, no rules of composition. */
const newPassword = text(200).min(8)
/** A password that is there already. */
const password = text(200).min(1)

export const signUpSchema = z.object({ name, email, password: newPassword })
export const signInSchema = z.object({ email: anyEmail, password })
export const renameSchema = z.object({ name })
export const moveSchema = z.object({ email, password })
export const passwordSchema = z.object({ password, newPassword })
export const closeSchema = z.object({ password })
export const forgottenSchema = z.object({ email })
export const letterSchema = z.object({ token: text(100).min(1), newPassword })
