import { z } from 'zod'

/** What it costs that a kit is shared out among riders. */
export const sharingSchema = z.object({
  /** Minutes to have a piece handed over from another's bag: to stop, to ask, to dig. */
  fetch: z.number().min(0).max(60),
  /**
   * What a gram that the wrong rider carries costs, against a gram carried at all. At as much as that or more, ballast on the
   * lightest rider would seem to pay.
   */
  uneven: z.number().min(0).max(0.95),
})
export type Sharing = z.infer<typeof sharingSchema>

/** Planning values, common practice, no source. */
export const usualSharing: Sharing = { fetch: 3, uneven: 0.5 }
