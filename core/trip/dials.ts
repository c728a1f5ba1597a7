import { z } from 'zod'
import { defaultHandN } from '../fit'
import { currencySchema, moneySchema, mostMoney, planningCurrency } from '../money'
import { planningSchema } from '../reference'
import { walkingMethods } from '../road'
import { takenStanceSchema } from './taken-stance'

/** The reckoning that kits are weighed by now: what is carried is shared by all that may fail. */
export const reckoningNow = 2

/** Hours until a lift comes where nobody has said. Planning value. */
export const usualLiftWaitH = 3

/** The settings a school of thought differs in. Every default is a planning value. */
export const dialsSchema = z.object({
  /** What an hour lost is worth, in grams carried; null until a bench is first weighed, when the road says where to begin. */
  gramsPerHour: z.number().gt(0).max(100_000).nullable().default(null),
  /** The most the kit may weigh; null for no limit. */
  budgetG: z.number().min(0).max(100_000).nullable().default(null),
  /** The most that may be spent on what has to be bought, in the smallest coins; null for no limit. */
  budgetMoney: moneySchema.nullable().default(null),
  /** The least chance of having a part for a shop to be counted on. */
  trust: z.number().min(0).max(1).default(0.6),
  /** Hours one would wait for a shop to open. */
  waitH: z.number().min(0).max(72).default(3),
  walking: z.enum(walkingMethods).default('naismith'),
  /** Hours of daylight one can walk in a day; longer walks are nights out. */
  walkHoursPerDay: z.number().min(1).max(24).default(10),
  /** What a night out costs on top, in hours. */
  nightOutH: z.number().min(0).max(200).default(3),
  /** What it costs that the ride ends at an exit, in hours. */
  rideOverH: z.number().min(0).max(1000).default(12),
  /** Chance that a passer-by with the skill stops; 0 where rules or the road forbid it. */
  helper: z.number().min(0).max(1).default(0.05),
  /** Hours until a lift comes, where one may be called; null where not. */
  liftWaitH: z.number().min(0).max(500).nullable().default(null),
  /** The most a hand of the crew gives at the end of a lever, N. */
  handMostN: z.number().min(50).max(1500).default(defaultHandN),
  /** What an hour at home weighs against one on the road. */
  homeShare: z.number().min(0).max(10).default(0.05),
  /** The currency of all prices. */
  currency: currencySchema.default(planningCurrency),
  /** What an hour spared on the road is worth, in the smallest coins; null where money is no matter. */
  moneyPerHour: z.number().int().min(1).max(mostMoney).nullable().default(3000),
  /** The reckoning by which the price of an hour was last seen; whoever set it under an older one is told once what is new. */
  reckoning: z.number().int().min(1).max(reckoningNow).default(1),
  /** Schools of thought that were taken up, with what each has made other. */
  stances: z.array(takenStanceSchema).max(20).default([]),
  /** Planning values of the reference that somebody knows better. */
  planning: planningSchema.default({}),
})
export type Dials = z.infer<typeof dialsSchema>
export const dialNames = Object.keys(dialsSchema.shape) as (keyof Dials)[]

/**
 * Dials under another currency: what an hour is worth, what may be spent, and prices that somebody has said, were meant in the one before, and
 * are asked for anew.
 */
export const inCurrency = (dials: Dials, currency: string): Dials => ({
  ...dials,
  currency,
  moneyPerHour: null,
  budgetMoney: null,
  planning: Object.fromEntries(Object.entries(dials.planning).filter(([key]) => !key.endsWith('.price'))),
})
