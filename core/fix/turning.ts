import { z } from 'zod'

/** What turning adds to the minutes of a fix. */
export const turningSchema = z.object({
  /** So much longer a fix takes for which something turns, and not with ease: a share of its minutes. */
  awkward: z.number().min(0).max(4),
})
export type Turning = z.infer<typeof turningSchema>

/** Planning value, from memory. */
export const usualTurning: Turning = { awkward: 0.3 }
