import { z } from 'zod'
import { text } from '../validation'

/** The longest line of it, and the longest of what takes several, in characters. */
export const longestLine = 120
export const longestLines = 600
const line = text(longestLine).default('')
const lines = text(longestLines).default('')

/** What somebody has on a card in case they cannot speak; nothing of it is required. It is kept with their account, and in no trip. */
export const identitySchema = z.object({
  name: line,
  born: line,
  address: lines,
  blood: line,
  allergies: lines,
  medication: lines,
  /** What else a doctor should know. */
  conditions: lines,
  /** Whom to call. */
  contact: lines,
})
export type Identity = z.infer<typeof identitySchema>

/** Of somebody who has written nothing. */
export const noIdentity: Identity = identitySchema.parse({})

/** Whether anything stands on a card. */
export const hasIdentity = (identity: Identity): boolean => Object.values(identity).some((said) => said.trim() !== '')
