import { z } from 'zod'
import { taskFields } from '../task'
import { idSchema, nameSchema, text } from '../validation'

/** A shop of one's own, where things are bought before a ride. */
export const shopSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** Opening hours in the OpenStreetMap syntax; empty where nobody has said. */
  hours: text(200).default(''),
  /** Working days from the order to the door, where it sends things; null where one goes there. */
  deliveryDays: z.number().int().min(0).max(60).nullable().default(null),
})
export type Shop = z.infer<typeof shopSchema>

/** Something of one's own to be done before a ride: a ticket, a key for the neighbour. */
export const ownTaskSchema = z.object({
  id: idSchema,
  name: nameSchema,
  minutes: z.number().min(0).max(1000).default(15),
  note: text(1000).default(''),
  ...taskFields,
})
export type OwnTask = z.infer<typeof ownTaskSchema>

/** So many of each there are at most. */
export const mostShops = 30
export const mostOwnTasks = 200

/** What is to be said of the time before a ride, at home. */
export const homeSchema = z.object({
  /** The country of its holidays, two letters of ISO 3166-1; null for that of the ride. */
  country: z
    .string()
    .regex(/^[a-z]{2}$/, 'two small letters such as "is"')
    .nullable()
    .default(null),
  shops: z.array(shopSchema).max(mostShops).default([]),
  tasks: z.array(ownTaskSchema).max(mostOwnTasks).default([]),
  /** When the papers to carry are printed, and what became of it. */
  papers: z.object(taskFields).prefault({}),
})
