import { z } from 'zod'
import { mostOfAThing, thingSchema } from '../bench'
import { currencySchema, moneySchema, planningCurrency } from '../money'

/** More things than anybody owns for their bikes. */
export const mostOwned = 2000

const day = z.iso.date().nullable().default(null)

/** A thing that a rider owns, whatever trips it goes on. */
export const ownedThingSchema = thingSchema
  .omit({
    pin: true,
    condition: true,
    shed: true,
    owned: true,
    broughtBy: true,
    boughtAt: true,
    carriedBy: true,
    packedIn: true,
  })
  .extend({
    /** Whether its mass was read from a scale. */
    isWeighed: z.boolean().default(false),
    /** How far its owner trusts it; null where its age says so. */
    trustedTo: z.number().min(0).max(1).nullable().default(null),
    /** What one has cost, in the smallest coins of its currency. */
    price: moneySchema.nullable().default(null),
    currency: currencySchema.default(planningCurrency),
    bought: day,
    /** Since when air gets at it: glue, sealant, a cartridge. */
    opened: day,
    /** When it was last seen to be good: a tube held under water, a cartridge weighed. */
    tested: day,
    /** How often it has been used. */
    uses: z.number().int().min(0).max(100_000).default(0),
    /** Pieces that stay packed in the tin from trip to trip. */
    packed: z.number().int().min(0).max(mostOfAThing).default(0),
  })
export type OwnedThing = z.infer<typeof ownedThingSchema>
