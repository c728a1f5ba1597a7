import { z } from 'zod'
import { MM_PER_INCH as mmPerInch } from '../units'
import { Fault } from '../validation'

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

/** Beads of sizes that are called by inches or by the old French names. Common practice, no source. */
const beadOfName: Readonly<Record<string, number>> = {
  '29': 622,
  '28': 622,
  '27.5': 584,
  '26': 559,
  '24': 507,
  '20': 406,
  '18': 355,
  '16': 305,
  '700': 622,
  '650': 584,
}

/**
 * Reads a tyre marking such as "50-622", or what riders say instead: "29 × 2.25", "700x40C", "650x47B".
 *
 * @returns the section width and bead seat diameter, or undefined where the
 *   marking is not of that form or no such bead exists; widths in fractions ("26 × 1 3/8") name other beads and are
 *   not understood
 * Source: ISO 5775-1, designation of tyres by section width and bead seat diameter; inches by common practice.
 */
export function readTyreSize(marking: string): TyreSize | undefined {
  const size = byBead(marking) ?? byInches(marking) ?? byLetter(marking)
  return size && size.widthMm >= 18 && size.widthMm <= 135 ? size : undefined
}

function byBead(marking: string): TyreSize | undefined {
  const match = /^\s*(\d{2,3})\s*[-–×x]\s*(\d{3})\s*$/.exec(marking)
  const [widthMm, beadMm] = [Number(match?.[1]), Number(match?.[2])]
  return (beadDiametersMm as readonly number[]).includes(beadMm) ? { widthMm, beadMm } : undefined
}

/** "29 × 2.25", "27.5x2.4\"": diameter and width in inches, the width with a decimal. */
function byInches(marking: string): TyreSize | undefined {
  const match = /^\s*(\d{2}(?:[.,]5)?)\s*["”″]?\s*[×x]\s*(\d[.,]\d{1,3})\s*["”″]?\s*$/i.exec(marking)
  const beadMm = match && beadOfName[(match[1] ?? '').replace(',', '.')]
  return beadMm ? { widthMm: Math.round(Number((match[2] ?? '').replace(',', '.')) * mmPerInch), beadMm } : undefined
}

/** "700x40C", "650 × 47B", "700 × 40": the letter belongs to the bead. */
function byLetter(marking: string): TyreSize | undefined {
  const match = /^\s*(700|650)\s*[×x]\s*(\d{2})\s*([bc]?)\s*$/i.exec(marking)
  if (!match) return undefined
  const [, name = '', width, letter = ''] = match
  const usual = name === '700' ? 'c' : 'b'
  const beadMm = letter === '' || letter.toLowerCase() === usual ? beadOfName[name] : undefined
  return beadMm ? { widthMm: Number(width), beadMm } : undefined
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
