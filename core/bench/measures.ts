import { z } from 'zod'

const measure = (least: number, most: number) => z.number().min(least).max(most).nullable().default(null)

/** Measures of a spare or a pump beyond its supply class; null where nobody has looked. */
export const measuresSchema = z.object({
  /** Tyre widths that a tube is made for, mm, from and to. */
  fromWidthMm: measure(10, 150),
  toWidthMm: measure(10, 150),
  valve: z.enum(['presta', 'schrader']).nullable().default(null),
  /** How far a valve stands out above the tube or the rim's bed, mm. */
  stemMm: measure(10, 150),
  /** Length of a cable, mm. */
  lengthMm: measure(100, 5000),
  /** Gas in a cartridge, g. */
  gasG: measure(1, 100),
  /** Air that a pump draws in with one stroke, mL. */
  strokeMl: measure(5, 2000),
  /** Energy in the battery of a compressor, Wh. */
  energyWh: measure(0.1, 1000),
})
export type Measures = z.infer<typeof measuresSchema>
export type MeasureName = keyof Measures
export const measureNames = Object.keys(measuresSchema.shape) as MeasureName[]
