import { z } from 'zod'
import { idSchema } from '../validation'

/** What became of something that is to be done before a ride: nothing yet, done, or left undone for good. */
export const taskStates = ['open', 'done', 'left'] as const

/** What is kept of anything that is to be done before a ride. */
export const taskFields = {
  /** The day it is done on, by the calendar on the wall; null while that is open. */
  on: z.iso.date().nullable().default(null),
  state: z.enum(taskStates).default('open'),
  /** The rider who does it; null, or one who is not there any more, for whoever is nearest to it. */
  by: idSchema.nullable().default(null),
}
export const taskSchema = z.object(taskFields)
export type Task = z.infer<typeof taskSchema>

/** Of what nobody has said anything yet. */
export const openTask: Task = { on: null, state: 'open', by: null }
