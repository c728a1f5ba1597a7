import { z } from 'zod'
import { checkAgainst, Fault, Faults } from '../validation'

export const ledgerFormat = 'rag-tin.ledger/1'

const id = z.string().min(1).max(200)
const leg = z.number().int().min(0)

export const ledgerFixSchema = z.object({
  id,
  needs: z.array(id).default([]),
  uses: z.record(id, z.number().gt(0)).default({}),
  success: z.number().min(0).max(1),
  residualH: z.number().min(0),
})
export type LedgerFix = z.infer<typeof ledgerFixSchema>

export const ledgerClaimSchema = z.object({
  id,
  legs: z.array(leg).min(1),
  probability: z.number().min(0).max(1),
  lossH: z.number().min(0),
  fixes: z.array(ledgerFixSchema).default([]),
})
export type LedgerClaim = z.infer<typeof ledgerClaimSchema>

export const ledgerItemSchema = z.object({
  id,
  massG: z.number().min(0),
  max: z.number().int().min(0).max(999),
  provides: z.array(id).default([]),
  units: z.record(id, z.number().gt(0)).default({}),
})

const pin = z
  .object({ min: z.number().int().min(0), max: z.number().int().min(0) })
  .refine((value) => value.max >= value.min, { message: 'a pin whose max is not below its min', path: ['max'] })

/** All claims, which item answers which, and the hours they are worth. */
export const ledgerSchema = z.object({
  format: z.literal(ledgerFormat),
  legs: z.number().int().min(1),
  items: z.array(ledgerItemSchema),
  stocks: z.array(z.object({ id, gaps: z.array(z.array(leg).min(1)) })).default([]),
  claims: z.array(ledgerClaimSchema),
  budgetG: z.number().min(0).nullable().optional(),
  gramsPerHour: z.number().gt(0).nullable().optional(),
  pins: z.record(id, pin).default({}),
})
export type Ledger = z.infer<typeof ledgerSchema>

/**
 * Reads a ledger document and checks that its ids and legs point somewhere.
 *
 * @throws Faults saying where, what and what was expected
 */
export function readLedger(input: unknown): Ledger {
  const ledger = checkAgainst(ledgerSchema, input)
  const faults: Fault[] = []
  const items = new Set(ledger.items.map((item) => item.id))
  const stocks = new Set(ledger.stocks.map((stock) => stock.id))
  const once = (ids: readonly string[], where: string) => {
    const seen = new Set<string>()
    ids.forEach((value, i) => {
      if (seen.has(value)) faults.push(new Fault(`${where}[${i}].id`, `"${value}" a second time`, 'an id used once'))
      seen.add(value)
    })
  }
  const knownStock = (uses: Record<string, number>, where: string) => {
    for (const stock of Object.keys(uses)) {
      if (!stocks.has(stock)) faults.push(new Fault(where, `"${stock}"`, 'the id of one of the stocks'))
    }
  }
  const knownLegs = (legs: readonly number[], where: string) => {
    for (const number of legs) {
      if (number >= ledger.legs) faults.push(new Fault(where, `leg ${number}`, `a leg from 0 to ${ledger.legs - 1}`))
    }
  }
  once(
    ledger.items.map((item) => item.id),
    'items',
  )
  once(
    ledger.stocks.map((stock) => stock.id),
    'stocks',
  )
  once(
    ledger.claims.map((claim) => claim.id),
    'claims',
  )
  ledger.items.forEach((item, i) => knownStock(item.units, `items[${i}].units`))
  ledger.stocks.forEach((stock, i) => {
    const seen = new Set<number>()
    stock.gaps.forEach((gap, g) => {
      knownLegs(gap, `stocks[${i}].gaps[${g}]`)
      for (const number of gap) {
        if (seen.has(number))
          faults.push(new Fault(`stocks[${i}].gaps[${g}]`, `leg ${number} in two gaps`, 'each leg in one gap'))
        seen.add(number)
      }
    })
  })
  ledger.claims.forEach((claim, i) => {
    knownLegs(claim.legs, `claims[${i}].legs`)
    once(
      claim.fixes.map((fix) => fix.id),
      `claims[${i}].fixes`,
    )
    claim.fixes.forEach((fix, f) => knownStock(fix.uses, `claims[${i}].fixes[${f}].uses`))
  })
  for (const [item, limits] of Object.entries(ledger.pins)) {
    const pinned = ledger.items.find((candidate) => candidate.id === item)
    if (!items.has(item) || !pinned) faults.push(new Fault(`pins.${item}`, `"${item}"`, 'the id of one of the items'))
    else if (limits.min > pinned.max) {
      faults.push(new Fault(`pins.${item}.min`, `${limits.min}`, `at most the ${pinned.max} there are`))
    }
  }
  if (faults.length > 0) throw new Faults(faults)
  return ledger
}

/** Hours a fix saves in a claim: P · success · max(0, L − residual). */
export function savedHours(claim: LedgerClaim, fix: LedgerFix): number {
  return claim.probability * fix.success * Math.max(0, claim.lossH - fix.residualH)
}

/** Hours lost with nothing carried at all: Σ P · L. */
export function emptyHours(ledger: Ledger): number {
  return ledger.claims.reduce((sum, claim) => sum + claim.probability * claim.lossH, 0)
}
