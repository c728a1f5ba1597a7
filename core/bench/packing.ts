import { z } from 'zod'

/** What it costs to keep things in bags. */
export const packingSchema = z.object({
  /** Seconds to take a piece out that lies above, and to put it back. */
  dig: z.number().min(0).max(120),
  /** Minutes to unwrap what is wound with tape or in a bag of its own, and to wrap it again. */
  unwrap: z.number().min(0).max(15),
  /** How many minutes a minute counts for while air runs out. */
  hurry: z.number().min(1).max(100),
  /** What a gram at the height of the saddle costs, against a gram carried at all. */
  high: z.number().min(0).max(1),
  /** What weighs that a thing is wound with tape, and that it is in a bag of its own, g. */
  tapeG: z.number().min(0).max(100),
  bagG: z.number().min(0).max(100),
})
export type Packing = z.infer<typeof packingSchema>

/** Planning values, common practice, no source. */
export const usualPacking: Packing = { dig: 8, unwrap: 0.5, hurry: 4, high: 0.05, tapeG: 5, bagG: 3 }
