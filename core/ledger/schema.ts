import { z } from 'zod'
import { currencySchema, moneySchema, planningCurrency } from '../money'

export const ledgerFormat = 'rag-tin.ledger/2'

const id = z.string().min(1).max(200)
const leg = z.number().int().min(0)
const chance = z.number().min(0).max(1)
const hours = z.number().min(0).max(100_000)
/** The same on every leg, or one for each. */
const onLegs = (value: z.ZodNumber) => z.union([value, z.array(value)])

/** What mends a failure: what it needs, what it uses up, who can do it, and what it costs. */
export const ledgerFixSchema = z.object({
  id,
  /**
   * Fixes of a failure with the same attempt are one attempt in several ways, as with a better or a worse tool: of those whose
   * functions are there only the one that is worth most is tried. Without one, a fix is an attempt of its own.
   */
  attempt: id.optional(),
  /** Functions, all of them needed. */
  needs: z.array(id).default([]),
  /** Stock used at each try. */
  uses: z.record(id, z.number().gt(0)).default({}),
  /** Hands are drawn once for a failure and a technique; without one, for this fix alone. */
  technique: id.optional(),
  /** The chance that somebody present can do it. */
  hands: chance,
  /** The chance that it then holds, at each try. */
  holds: chance.default(1),
  /** Hours of each try. */
  workH: onLegs(hours).default(0),
  /** Hours still lost when it holds. */
  residualH: onLegs(hours).default(0),
  /** The part of them on foot. */
  residualWalkH: onLegs(hours).default(0),
})
export type LedgerFix = z.infer<typeof ledgerFixSchema>

/** How a part wears along the legs: a Gamma process, with a life used up at `left` and at each whole life more. */
export const ledgerWearSchema = z.object({
  /** Life left at departure, 1 for a new one. */
  left: z.number().min(0).max(100),
  /** Standard deviation of a life as a share of its mean; 0 where it wears exactly so. */
  spread: z.number().min(0).max(10),
  /** Lives used up on each leg, in the mean. */
  lives: z.array(z.number().min(0).max(100)),
  /** Legs at whose start a new one is fitted. */
  freshAtLegs: z.array(leg).default([]),
})
export type LedgerWear = z.infer<typeof ledgerWearSchema>

/** Something that may fail, any number of times. */
export const ledgerEventSchema = z.object({
  id,
  /** Failures expected on each leg that come of a sudden. */
  perLeg: z.array(z.number().min(0).max(1000)),
  wear: ledgerWearSchema.optional(),
  /** Hours lost when nothing mends it. */
  lossH: onLegs(hours),
  /** The part of them on foot. */
  walkH: onLegs(hours).default(0),
  /** The chance that it strands when nothing mends it. */
  strands: onLegs(chance).default(0),
  fixes: z.array(ledgerFixSchema).default([]),
})
export type LedgerEvent = z.infer<typeof ledgerEventSchema>

export const ledgerItemSchema = z.object({
  id,
  massG: z.number().min(0).max(1_000_000),
  max: z.number().int().min(0).max(999),
  provides: z.array(id).default([]),
  units: z.record(id, z.number().gt(0)).default({}),
  /** The chance that a piece is good: that stock holds, that a tool works on this trip. */
  condition: chance.default(1),
  /** What a piece costs that has to be bought, in the smallest coins. */
  price: moneySchema.default(0),
  /** Pieces that are there already and have to be bought no more. */
  owned: z.number().int().min(0).default(0),
})

export const ledgerStockSchema = z.object({
  id,
  /** Legs at whose start it is filled up to what was carried at departure, each with its own chance. */
  refills: z.array(z.object({ leg: z.number().int().min(1), chance })).default([]),
})

const pin = z
  .object({ min: z.number().int().min(0), max: z.number().int().min(0) })
  .refine((value) => value.max >= value.min, { message: 'a pin whose max is not below its min', path: ['max'] })

/** All that may fail on a trip, what mends it, and the things that could be carried. */
export const ledgerSchema = z.object({
  format: z.literal(ledgerFormat),
  legs: z.number().int().min(1).max(1000),
  items: z.array(ledgerItemSchema),
  stocks: z.array(ledgerStockSchema).default([]),
  events: z.array(ledgerEventSchema),
  /** The most a kit may weigh; null for any. */
  budgetG: z.number().min(0).nullable().default(null),
  /** The most that may be spent on what has to be bought, in the smallest coins; null for any. */
  budgetMoney: moneySchema.nullable().default(null),
  /** The currency of all its money. */
  currency: currencySchema.default(planningCurrency),
  /** Grams that an hour is worth; null where they cost nothing. */
  gramsPerHour: z.number().gt(0).nullable().default(null),
  /** How many of an item to carry at least and at most. */
  pins: z.record(id, pin).default({}),
})
export type Ledger = z.infer<typeof ledgerSchema>
