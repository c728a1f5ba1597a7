import { z } from 'zod'
import { text } from '../../core/text'

/** One address is one account, however its letters are put together and whether they are large or small. */
const email = text(190)
  .trim()
  .normalize('NFC')
  .toLowerCase()
  .regex(/^[^\s@]+@[^\s@]+$/, 'an e-mail address such as rider@example.org')

export const signUpSchema = z.object({
  name: text(120).trim().min(1),
  email,
  /** NIST SP 800-63B: length is what counts; at least 8, no rules of composition. */
  password: text(200).min(8),
})

export const signInSchema = z.object({ email, password: text(200).min(1) })
