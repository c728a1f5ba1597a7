import { z } from 'zod'
import { Fault } from '../fault'

/**
 * Bead seat diameters of bicycle tyres in millimetres.
 * Source: ISO 5775-1, the nominal rim diameters in use; the list is from
 * memory and leaves out sizes no longer sold.
 */
export const beadDiametersMm = [
  203, 239, 305, 317, 337, 340, 349, 355, 369, 387, 390, 406, 419, 432, 438, 440, 451, 457, 484, 489, 490, 501, 507,
  520, 531, 534, 540, 541, 547, 559, 565, 571, 584, 587, 590, 597, 609, 622, 630, 635, 642,
] as const

export interface TyreSize {
  readonly widthMm: number
  readonly beadMm: number
}

/**
 * Reads a tyre marking such as "50-622".
 *
 * @returns the section width and bead seat diameter, or undefined where the
 *   marking is not of that form or no such bead exists
 * Source: ISO 5775-1, designation of tyres by section width and bead seat diameter.
 */
export function readTyreSize(marking: string): TyreSize | undefined {
  const match = /^\s*(\d{2,3})\s*[-–×x]\s*(\d{3})\s*$/.exec(marking)
  if (!match) return undefined
  const [widthMm, beadMm] = [Number(match[1]), Number(match[2])]
  const known = (beadDiametersMm as readonly number[]).includes(beadMm)
  return known && widthMm >= 18 && widthMm <= 135 ? { widthMm, beadMm } : undefined
}

/**
 * A tyre marking that must be readable.
 *
 * @param where it stands, for the fault
 * @throws Fault where it is not
 */
export function tyreSizeOf(marking: string, where: string): TyreSize {
  const size = readTyreSize(marking)
  if (!size) throw new Fault(where, `“${marking}”`, 'a tyre marking of width and bead such as "50-622"')
  return size
}

export const tyreSchema = z.object({
  size: z.string().refine((marking) => readTyreSize(marking) !== undefined, {
    message: 'a tyre marking of width and bead such as "50-622"',
  }),
  tubeless: z.boolean().default(false),
  protection: z.enum(['light', 'normal', 'tough']).default('normal'),
  /** Tread left, 1 when new. */
  treadLeft: z.number().min(0).max(1).default(0.8),
  /** Pressure it is ridden at, bar; null: the usual one for its width. */
  rideBar: z.number().gt(0).max(15).nullable().default(null),
  /** The most its side says, bar; null where nobody has looked. */
  mostBar: z.number().gt(0).max(15).nullable().default(null),
})
export type Tyre = z.infer<typeof tyreSchema>
