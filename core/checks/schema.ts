import { z } from 'zod'
import { appliesSchema } from '../hazard'

const common = {
  id: z.string(),
  name: z.string(),
  /** What one looks at or does, in a sentence or two. */
  look: z.string(),
  minutes: z.number().gt(0),
  /** So many days before the ride it is done at the latest, so that there is time for what it finds. */
  daysBefore: z.number().int().min(1).max(60),
  /** So many days before the ride it is done at the soonest, as a battery runs down again; none where it does not matter. */
  soonestDays: z.number().int().min(1).max(60).optional(),
  /** What of it is not for one's own hands; empty where there is nothing. */
  mechanic: z.string().default(''),
  caution: z.string().default(''),
  source: z.string().default('planning value'),
}

/** What is looked over on a bike before a ride. */
export const checkSchema = z.object({
  ...common,
  applies: appliesSchema,
  /** What it finds before it fails on the road; none where it is for safety alone. */
  hazards: z.array(z.string()),
  /** As many times as often these fail on a bike that was not looked over. */
  unchecked: z.number().min(1).max(20),
})
export type Check = z.infer<typeof checkSchema>

/** How a thing is tried before one relies on it. */
export const trialSchema = z.object({
  ...common,
  /** Families of supplies, and beginnings of functions of tools, that are tried so. */
  families: z.array(z.string()).default([]),
  functions: z.array(z.string()).default([]),
  /** How far a thing that was not tried can be trusted, of one that was. */
  untried: z.number().gt(0).max(1),
})
export type Trial = z.infer<typeof trialSchema>
