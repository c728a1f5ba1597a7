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
  /** So many days before the ride it is done at the latest: what is new wants to be ridden in. */
  daysBefore: z.number().int().min(1).max(60).default(3),
  /** What of it is not for one's own hands; empty where there is nothing. */
  mechanic: z.string().default(''),
  caution: z.string().default(''),
  source: z.string().default('planning value'),
})
export type Job = z.infer<typeof jobSchema>

/** What else is done before a ride: time at home, and money. */
const errandSchema = z.object({ minutes: z.number().gt(0), price: moneySchema })

export const errandsSchema = z.object({
  /** An evening of practice. */
  practice: errandSchema,
  /** A parcel packed, brought to the post and paid for; the working days that it takes, and the days it is kept. */
  parcel: errandSchema.extend({ days: z.number().int().min(0).max(60), keptDays: z.number().int().min(1).max(120) }),
  /** A call to a shop. */
  ask: errandSchema,
  /** Something ordered for oneself, and the working days until it is there. */
  order: z.object({ minutes: z.number().gt(0), days: z.number().int().min(0).max(60) }),
  /** A way to a shop. */
  shop: z.object({ minutes: z.number().gt(0) }),
  /** The papers to carry, printed. */
  papers: z.object({ minutes: z.number().gt(0) }),
})
export type Errands = z.infer<typeof errandsSchema>

/** What else is done before a ride, where nobody has said otherwise. Planning values, from memory. */
export const usualErrands: Errands = {
  practice: { minutes: 120, price: 0 },
  parcel: { minutes: 30, price: 800, days: 5, keptDays: 14 },
  ask: { minutes: 5, price: 0 },
  order: { minutes: 10, days: 5 },
  shop: { minutes: 40 },
  papers: { minutes: 10 },
}
