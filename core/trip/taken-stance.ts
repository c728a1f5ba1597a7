import { z } from 'zod'
import { pinSchema } from '../bench'
import { idSchema, text } from '../validation'

const number = z.number().nullable()
const pin = pinSchema.nullable()

/** Dials that schools of thought differ in. */
export const stanceDials = ['helper', 'liftWaitH', 'trust', 'gramsPerHour'] as const

/** One thing that a stance has made other, with how it was: a dial, a planning value, a job, a pin. */
export const stanceChangeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('dial'), name: z.enum(stanceDials), before: number, after: number }),
  /** Null where nobody had said anything. */
  z.object({ kind: z.literal('planning'), key: text(80), before: number, after: z.number() }),
  z.object({ kind: z.literal('job'), bikeId: idSchema, jobId: text(40) }),
  z.object({ kind: z.literal('pin'), thingId: idSchema, before: pin, after: pin }),
])
export type StanceChange = z.infer<typeof stanceChangeSchema>

/** A stance that a trip has taken up. */
export const takenStanceSchema = z.object({ id: text(40).min(1), changes: z.array(stanceChangeSchema).max(1000) })
export type TakenStance = z.infer<typeof takenStanceSchema>
