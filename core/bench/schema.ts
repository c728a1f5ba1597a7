import { z } from 'zod'
import { moneySchema } from '../money'
import { taskFields, taskSchema } from '../task'
import { idSchema, nameSchema, text } from '../validation'
import { handlingSchema } from './handling'
import { headSchema } from './head'
import { measuresSchema } from './measures'

/** More of one thing than anybody lays down. */
export const mostOfAThing = 99

/** How many to carry at least and at most, whatever the ledger says. */
export const pinSchema = z
  .object({ min: z.number().int().min(0).max(mostOfAThing), max: z.number().int().min(0).max(mostOfAThing) })
  .refine((pin) => pin.max >= pin.min, { message: 'a pin whose max is not below its min', path: ['max'] })

/** A thing laid on the bench: what it weighs, what it does, how many there are. */
export const thingSchema = z.object({
  id: idSchema,
  name: nameSchema,
  massG: z.number().gt(0).max(20_000),
  count: z.number().int().min(1).max(mostOfAThing).default(1),
  /** Functions a tool offers, beside what its heads turn. */
  provides: z.array(idSchema).max(60).default([]),
  /** The ends of a tool that get hold of fasteners. */
  heads: z.array(headSchema).max(40).default([]),
  /** Its heads come apart, like loose keys: two can be used at once. */
  comesApart: z.boolean().default(false),
  /** Supply classes it is a stock of, with the amount in one piece. */
  units: z.record(text(60), z.number().gt(0).max(10_000)).default({}),
  /** Measures that decide which bike it serves. */
  measures: measuresSchema.prefault({}),
  /** What one takes up, and its longest side; null where nobody has measured. */
  volumeMl: z.number().gt(0).max(100_000).nullable().default(null),
  longestMm: z.number().gt(0).max(3000).nullable().default(null),
  /** What has to be minded in packing it; null where it is as the catalogue says, or nobody has said. */
  handling: handlingSchema.nullable().default(null),
  /** How far it can be trusted, 1 as new: an old tube, opened glue. */
  condition: z.number().min(0).max(1).default(1),
  pin: pinSchema.nullable().default(null),
  /** The catalogue entry it was taken from. */
  from: text(60).nullable().default(null),
  /** The thing of somebody's shed that it is. */
  shed: idSchema.nullable().default(null),
  /** Pieces of it that are there already, and need not be bought for this trip; null where nobody has said (`piecesThere`). */
  owned: z.number().int().min(0).max(mostOfAThing).nullable().default(null),
  /** When what is lacking is bought before the ride, and at which shop of one's own; null for by order. */
  buying: z.object({ ...taskFields, shop: idSchema.nullable().default(null) }).prefault({}),
  /** When it is tried before the ride, as a tube held under water, and what became of it. */
  trial: taskSchema.prefault({}),
  /** The rider of the crew whose it is; null where it is everybody's. */
  broughtBy: idSchema.nullable().default(null),
  /** Pieces that riders carry whatever a split says, by their ids. */
  carriedBy: z.record(idSchema, z.number().int().min(1).max(mostOfAThing)).default({}),
  /** Pieces that stay in a place for things of a bike, whatever else is packed there. */
  packedIn: z
    .array(z.object({ bikeId: idSchema, storageId: idSchema, count: z.number().int().min(1).max(mostOfAThing) }))
    .max(240)
    .default([]),
  /** The stop where it is bought on the way; null where it comes along from the start (`purchaseOf` in the ledger of a trip). */
  boughtAt: idSchema.nullable().default(null),
  note: text(1000).default(''),
})
export type Thing = z.infer<typeof thingSchema>

/**
 * How many pieces of a thing need not be bought: all of them once they were bought for this ride; where nobody has said, all of
 * what is of a shed, and none of anything else.
 */
export const piecesThere = ({
  owned,
  shed,
  count,
  buying,
}: Pick<Thing, 'owned' | 'shed' | 'count' | 'buying'>): number =>
  buying.state === 'done' ? count : (owned ?? (shed === null ? 0 : count))

/** How many pieces of a thing a kit can take at most: where buying before the ride was left undone, those that are there. */
export const mostPieces = (thing: Pick<Thing, 'owned' | 'shed' | 'count' | 'buying' | 'boughtAt'>): number =>
  thing.buying.state === 'left' && thing.boughtAt === null ? Math.min(thing.count, piecesThere(thing)) : thing.count

/** Whether a thing is something that shops along the way may have: spares and supplies, no tool. */
export const isSupply = ({ units, provides, heads }: Pick<Thing, 'units' | 'provides' | 'heads'>): boolean =>
  Object.keys(units).length > 0 && provides.length === 0 && heads.length === 0

/** A generic thing to be had: the planning values a bench starts from. */
export const catalogueItemSchema = z.object({
  id: idSchema,
  name: z.string(),
  group: z.enum([
    'air and tyres',
    'chain and gears',
    'wheels',
    'brakes',
    'bolts',
    'tools',
    'cloth and cord',
    'fluids',
    'lights, camp and hands',
  ]),
  massG: z.number().gt(0),
  provides: z.array(z.string()).default([]),
  heads: z.array(headSchema).default([]),
  comesApart: z.boolean().default(false),
  units: z.record(z.string(), z.number().gt(0)).default({}),
  measures: measuresSchema.prefault({}),
  /** The narrowest round hollow that it goes into whole, mm; null where it goes into none of a bicycle's. */
  boreMm: z.number().gt(0).max(50).nullable().default(null),
  /** What one takes up in a bag, its longest side as it is packed, and what has to be minded. */
  volumeMl: z.number().gt(0),
  longestMm: z.number().gt(0),
  handling: handlingSchema.default([]),
  /** What one costs, in the smallest coins of the currency of planning values. */
  price: moneySchema,
  source: z.string().default('planning value'),
})
export type CatalogueItem = z.infer<typeof catalogueItemSchema>
