import { z } from 'zod'

/** What has to be minded when a thing is packed. */
export const handlings = [
  /** Edges, points or teeth wear through what lies beside it. */
  'sharp',
  /** It is rubbed through or cut by what is sharp. */
  'soft',
  /** What it holds runs out unless it stands upright or is in a bag. */
  'leaks',
  /** Water or dirt spoils it. */
  'keep dry',
  /** Wanted at once, while air still runs out. */
  'in a hurry',
  /** Wound on a pump or a lever, it takes no room. */
  'winds',
  /** It goes into the box of a patch kit, and takes no room. */
  'tucks',
] as const
export type Handling = (typeof handlings)[number]

export const handlingSchema = z
  .array(z.enum(handlings))
  .max(handlings.length)
  .refine((list) => new Set(list).size === list.length, { message: 'each at most once' })
