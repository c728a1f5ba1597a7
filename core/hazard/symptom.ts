import { z } from 'zod'

/** What one points at to say where something is wrong. */
export const places = ['wheels', 'drive', 'gears', 'brakes', 'front', 'seat', 'load', 'rider', 'motor'] as const

/** What a rider sees, hears or feels when something has failed, in a rider's words, and what it may be. */
export const symptomSchema = z.object({
  id: z.string(),
  name: z.string(),
  places: z.array(z.enum(places)).min(1),
  hazards: z.array(z.string()).min(1),
})
export type Place = (typeof places)[number]
export type Symptom = z.infer<typeof symptomSchema>
