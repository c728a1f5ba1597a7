import { z } from 'zod'
import { appliesSchema } from '../hazard'
import { moneySchema } from '../money'

/** What a job makes new on a bike. */
export const renewals = [
  'pads',
  'chain',
  'cables',
  'sealant',
  'front tread',
  'rear tread',
  'bolts',
  'acquaintance',
] as const
export type Renewal = (typeof renewals)[number]

/** Work on a bike at home, which weighs nothing on the road. */
export const jobSchema = z.object({
  id: z.string(),
  name: z.string(),
  renews: z.enum(renewals),
  applies: appliesSchema,
  minutes: z.number().gt(0),
  /** What the parts cost, in the smallest coins of the currency of planning values. */
  price: moneySchema,
  caution: z.string().default(''),
  source: z.string().default('planning value'),
})
export type Job = z.infer<typeof jobSchema>

/** What else is done before a ride: time at home, and money. */
const errandSchema = z.object({ minutes: z.number().gt(0), price: moneySchema })

export const errandsSchema = z.object({
  /** An evening of practice. */
  practice: errandSchema,
  /** A parcel packed, brought to the post and paid for. */
  parcel: errandSchema,
  /** A call to a shop. */
  ask: errandSchema,
})
export type Errands = z.infer<typeof errandsSchema>

/** What else is done before a ride, where nobody has said otherwise. Planning values, from memory. */
export const usualErrands: Errands = {
  practice: { minutes: 120, price: 0 },
  parcel: { minutes: 30, price: 800 },
  ask: { minutes: 5, price: 0 },
}
