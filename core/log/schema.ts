import { z } from 'zod'
import { moneySchema } from '../money'
import { isWallClock } from '../ride'
import { idSchema, nameSchema, text } from '../validation'

/** More entries than any ride has. */
export const mostEntries = 3000

/** More pieces of one thing, or more of a stock, than anybody has along. */
const mostAmount = 10_000

/** So much of a thing: of a stock that it holds, in the unit of that; whole pieces where none is named. */
export const spentSchema = z.object({
  thing: idSchema,
  stock: text(60).min(1).nullable().default(null),
  amount: z.number().gt(0).max(mostAmount),
  /** From whose bags; null for the bags of whoever has any, those of whoever wrote it first. */
  from: idSchema.nullable().default(null),
})
export type Spent = z.infer<typeof spentSchema>

/** Pieces of a thing in somebody's bags; in which bag, as riders call it, where that is known. */
export const carriedSchema = z.object({
  rider: idSchema,
  thing: idSchema,
  count: z.number().int().min(1).max(99),
  bag: text(80).default(''),
})
export type CarriedPieces = z.infer<typeof carriedSchema>

/** One way that was tried to mend something. */
export const trySchema = z.object({
  /** The fix of the catalogue; null for one that it does not know. */
  fix: text(60).min(1).nullable(),
  by: idSchema.nullable().default(null),
  /** Whether the hands could do it, and whether it held; null while that is to be seen. */
  could: z.boolean(),
  held: z.boolean().nullable().default(null),
  minutes: z.number().int().min(0).max(10_000).nullable().default(null),
  /** The things that were taken out for it, and what was used up of them. */
  took: z.array(idSchema).max(40).default([]),
  spent: z.array(spentSchema).max(20).default([]),
})

/** How a failure ended: mended; ridden on as it was; on foot; by a lift; the ride left for good; not yet. */
export const endings = ['mended', 'ridden on', 'walked', 'lift', 'left', 'open'] as const

/** Why something is not there any more. */
export const losses = ['used', 'broke', 'lost', 'given away', 'empty'] as const

/** How something was come by. */
export const comings = ['bought', 'given', 'posted', 'borrowed'] as const

/** How a shop was found. */
export const findingsOfShop = ['open', 'shut', 'gone'] as const

/** What every entry says: when by the clock on the wall, where, and who wrote it. */
const entryFields = {
  id: idSchema,
  at: z.string().refine(isWallClock, { message: 'a date and a time such as 2026-06-14T15:40' }),
  /** km of the road; null where nobody knew. */
  roadKm: z.number().min(0).max(100_000).nullable().default(null),
  by: idSchema.nullable().default(null),
  note: text(1000).default(''),
}

export const logEntrySchema = z.discriminatedUnion('kind', [
  /** What riders set off with, whatever the plan says by then. */
  z.object({
    ...entryFields,
    kind: z.literal('set off'),
    carried: z.array(carriedSchema).max(10_000),
  }),
  /** Something failed; on a stranger's bike where there is none. */
  z.object({
    ...entryFields,
    kind: z.literal('failed'),
    hazard: text(60).min(1),
    bikeId: idSchema.nullable(),
    wheel: z.enum(['front', 'rear']).nullable().default(null),
    fastener: idSchema.nullable().default(null),
    tries: z.array(trySchema).max(20).default([]),
    ending: z.enum(endings).default('open'),
    /** How long it took in all, and how much of it on foot. */
    lostMin: z.number().int().min(0).max(100_000).nullable().default(null),
    onFootMin: z.number().int().min(0).max(100_000).nullable().default(null),
  }),
  /** Something is not there any more, or less of it. */
  z.object({
    ...entryFields,
    kind: z.literal('gone'),
    why: z.enum(losses),
    spent: z.array(spentSchema).min(1).max(20),
  }),
  /** Something came along on the way: more of a thing of the bench, or one of a kind that the catalogue knows. */
  z.object({
    ...entryFields,
    kind: z.literal('got'),
    how: z.enum(comings),
    thing: idSchema.nullable().default(null),
    item: text(60).min(1).nullable().default(null),
    name: nameSchema,
    count: z.number().int().min(1).max(99).default(1),
    stop: idSchema.nullable().default(null),
    price: moneySchema.nullable().default(null),
  }),
  /** A bolt was found loose. */
  z.object({
    ...entryFields,
    kind: z.literal('loose'),
    bikeId: idSchema,
    fastener: idSchema.nullable(),
    name: nameSchema,
  }),
  /** A part that wears was made new, before it failed or after. */
  z.object({
    ...entryFields,
    kind: z.literal('renewed'),
    bikeId: idSchema,
    hazard: text(60).min(1),
    wheel: z.enum(['front', 'rear']).nullable().default(null),
  }),
  /** Where one is. */
  z.object({ ...entryFields, kind: z.literal('passed'), stop: idSchema.nullable().default(null) }),
  /** A shop as it was found. */
  z.object({
    ...entryFields,
    kind: z.literal('shop'),
    stop: idSchema,
    service: text(60).min(1),
    found: z.enum(findingsOfShop),
    had: z.array(text(60).min(1)).max(60).default([]),
    lacked: z.array(text(60).min(1)).max(60).default([]),
  }),
  /** What was looked after in the evening. */
  z.object({
    ...entryFields,
    kind: z.literal('evening'),
    did: z.array(text(60).min(1)).max(40),
    /** What was made new by it: a chain that was oiled. */
    renewed: z
      .array(z.object({ bikeId: idSchema, hazard: text(60).min(1) }))
      .max(60)
      .default([]),
  }),
  /** Somebody's shed was told what the ride did to their things: in all, so that what was told twice is told once. */
  z.object({
    ...entryFields,
    kind: z.literal('put away'),
    things: z
      .array(
        z.object({
          thing: idSchema,
          uses: z.number().int().min(-mostAmount).max(mostAmount),
          /** Pieces fewer, and so much less of each stock; more where it is negative. */
          gone: z.number().int().min(-mostAmount).max(mostAmount),
          spent: z.record(text(60), z.number().min(-mostAmount).max(mostAmount)).default({}),
        }),
      )
      .min(1)
      .max(200),
  }),
  z.object({ ...entryFields, kind: z.literal('note') }),
])
export type LogEntry = z.infer<typeof logEntrySchema>

export const logSchema = z.array(logEntrySchema).max(mostEntries)
export type Log = z.infer<typeof logSchema>
