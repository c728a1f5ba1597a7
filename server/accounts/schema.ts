import { z } from 'zod'

const email = z
  .string()
  .trim()
  .toLowerCase()
  .max(190)
  .regex(/^[^\s@]+@[^\s@]+$/, 'an e-mail address such as rider@example.org')

export const signUpSchema = z.object({
  name: z.string().trim().min(1).max(120),
  email,
  /** NIST SP 800-63B: length is what counts; at least 8, no rules of composition. */
  password: z.string().min(8).max(200),
})

export const signInSchema = z.object({ email, password: z.string().min(1).max(200) })
