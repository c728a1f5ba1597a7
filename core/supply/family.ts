import { z } from 'zod'
import { measureNames } from '../bench'

/** What tells one class of a family from another: nothing, or a size. */
export const variantKinds = ['none', 'bead', 'speeds', 'shape', 'length', 'kind'] as const

/** What decides whether a piece serves where a bike needs one of its family: the size alone, or also what is measured. */
export const fitRules = ['size', 'tube', 'tyre', 'spoke', 'brake cable', 'shift cable', 'valve stem'] as const

/** A half-life in years, from that of a cartridge that was pierced to more than anybody keeps a thing. */
export const leastHalfLifeY = 0.01
export const mostHalfLifeY = 1000
const years = z.number().min(leastHalfLifeY).max(mostHalfLifeY)

/** A kind of part that comes in sizes: tubes by bead diameter, quick links by number of sprockets. */
export const supplyFamilySchema = z.object({
  id: z.string(),
  name: z.string(),
  variant: z.enum(variantKinds),
  /** How usual a size is, 0 to 1, for shops that stock the family at all. */
  commonness: z.record(z.string(), z.number().min(0).max(1)).default({}),
  /** The same for sizes not named above. */
  otherwise: z.number().min(0).max(1).default(1),
  unit: z.string().default('piece'),
  fitBy: z.enum(fitRules).default('size'),
  /** What is worth measuring on a piece of it. */
  measures: z.array(z.enum(measureNames)).default([]),
  /** Whether it may be sent in a parcel: compressed gas and people may not. */
  goesByPost: z.boolean().default(true),
  /** Years in which half of its pieces are past it: in the packet, and once opened; null where age does nothing to them. */
  halfLife: z.object({ sealedY: years, openedY: years }).nullable().default(null),
})
export type SupplyFamily = z.infer<typeof supplyFamilySchema>

const variantPattern: Record<SupplyFamily['variant'], RegExp> = {
  none: /^$/,
  bead: /^\d{3}$/,
  speeds: /^(?:[1-9]|1[0-4])$/,
  shape: /^[a-z0-9]{1,8}$/,
  length: /^\d{2,3}$/,
  kind: /^[a-z]{2,12}$/,
}

export interface SupplyClass {
  readonly family: SupplyFamily
  readonly variant: string
}

/**
 * Reads a supply class such as "tube-622": a family and, where the family
 * comes in sizes, the size.
 *
 * @returns the class, or undefined when no family fits
 */
export function readClass(id: string, families: readonly SupplyFamily[]): SupplyClass | undefined {
  let known = alreadyRead.get(families)
  if (!known) {
    known = new Map()
    alreadyRead.set(families, known)
  }
  if (!known.has(id)) known.set(id, classNamed(id, families))
  return known.get(id)
}

/** The same few classes are asked about for every service of every stop. */
const alreadyRead = new WeakMap<readonly SupplyFamily[], Map<string, SupplyClass | undefined>>()

function classNamed(id: string, families: readonly SupplyFamily[]): SupplyClass | undefined {
  for (const family of families) {
    if (family.variant === 'none') {
      if (id === family.id) return { family, variant: '' }
    } else if (id.startsWith(`${family.id}-`)) {
      const variant = id.slice(family.id.length + 1)
      if (variantPattern[family.variant].test(variant)) return { family, variant }
    }
  }
  return undefined
}
