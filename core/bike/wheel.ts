import { z } from 'zod'
import { mostCrossings } from './spoke-length'

/** One side of a hub, and the spokes on it. */
const wheelSideSchema = z.object({
  /** Pitch circle of the spoke holes, mm. */
  flangeMm: z.number().min(20).max(300).default(58),
  /** From the middle of the hub to the flange, mm. */
  offsetMm: z.number().min(0).max(80).default(35),
  /** Length of a spoke taken out and measured, mm; null where nobody has. */
  measuredMm: z.number().min(60).max(350).nullable().default(null),
})

const wheelMeasures = z.object({
  holes: z.number().int().min(8).max(72).default(32),
  crossings: z.number().int().min(0).max(5).default(3),
  /** Effective rim diameter: between the seats of two opposite nipples, mm. */
  erdMm: z.number().min(100).max(700).default(600),
  spokeHoleMm: z.number().min(1.5).max(5).default(2.6),
  left: wheelSideSchema.prefault({}),
  right: wheelSideSchema.prefault({}),
  /** Across the flats of a nipple, mm. */
  nippleMm: z.number().min(3).max(6).default(3.2),
  /** Whether a spoke of the geared side goes in with everything on the hub left in place. */
  freeDriveSide: z.boolean().default(false),
})

export const wheelSchema = wheelMeasures
  .refine(({ holes }) => holes % 2 === 0, { message: 'an even number of holes', path: ['holes'] })
  .refine(({ holes, crossings }) => crossings <= mostCrossings(holes), {
    error: ({ input }) => {
      const { holes } = input as { holes: number }
      return `at most ${mostCrossings(holes)} crossings for ${holes} holes, or a spoke lies across its neighbour's head`
    },
    path: ['crossings'],
  })
export type Wheel = z.infer<typeof wheelSchema>

export const rimSchema = z.object({
  hooked: z.boolean().default(true),
  /** From the tube's side of the rim to where the valve comes out, mm. */
  depthMm: z.number().min(5).max(120).default(22),
  /** Widest pressure its maker allows, bar; null where unknown. */
  mostBar: z.number().gt(0).max(15).nullable().default(null),
  /** Stem of the valve that is in it, mm; null where nobody has measured. */
  stemMm: z.number().min(10).max(150).nullable().default(null),
  /** The hole for the valve takes a thick one. */
  wideValveHole: z.boolean().default(false),
})
