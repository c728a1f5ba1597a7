import { z } from 'zod'
import { idSchema, text } from '../validation'

export const latitude = z.number().min(-90).max(90)
export const longitude = z.number().min(-180).max(180)

/** One point of the line: latitude and longitude in degrees (WGS 84), elevation in metres if known. */
export const roadPointSchema = z.tuple([latitude, longitude, z.number().min(-500).max(9000).nullable()])
export type RoadPoint = z.infer<typeof roadPointSchema>

export const surfaces = ['asphalt', 'gravel', 'track', 'singletrack', 'sand', 'mud'] as const
export const surfaceSchema = z.enum(surfaces)
export type Surface = z.infer<typeof surfaceSchema>

/** How often somebody comes by who could help. */
export const traffics = ['busy', 'quiet', 'empty'] as const
export const trafficSchema = z.enum(traffics)
export type Traffic = z.infer<typeof trafficSchema>

/** How many more or fewer come by than on a quiet road. Planning values. */
export const passersBy: Record<Traffic, number> = { busy: 2, quiet: 1, empty: 0.25 }

/** What may be said of a part of the road. */
const traits = {
  surface: surfaceSchema,
  thorns: z.boolean().default(false),
  wet: z.boolean().default(false),
  /** Whether a telephone finds a network there. */
  signal: z.boolean().default(true),
  traffic: trafficSchema.default('quiet'),
  /** The share of the riding there that riders are out of reach of one another; null where it is as on the whole ride. */
  apart: z.number().min(0).max(1).nullable().default(null),
}
export type StretchTraits = z.infer<z.ZodObject<typeof traits>>

/** What the road counts as where nobody has said anything. */
export const defaultTraits: StretchTraits = {
  surface: 'gravel',
  thorns: false,
  wet: false,
  signal: true,
  traffic: 'quiet',
  apart: null,
}

/** A part of the road with one character. */
export const stretchSchema = z
  .object({ id: idSchema, fromKm: z.number().min(0), toKm: z.number().min(0), ...traits })
  .refine((stretch) => stretch.toKm > stretch.fromKm, {
    message: 'a stretch must end after it begins (toKm > fromKm)',
    path: ['toKm'],
  })
export type Stretch = z.infer<typeof stretchSchema>

/** The most points a road may have. A month of riding at one point each 10 m stays below it. */
export const mostPoints = 250_000

export const roadSchema = z.object({
  name: text(200).default(''),
  points: z
    .array(roadPointSchema)
    .max(mostPoints)
    .refine((points) => points.length !== 1, { message: 'a road needs at least two points, or none yet' }),
  stretches: z.array(stretchSchema).max(500).default([]),
})
export type Road = z.infer<typeof roadSchema>

export const emptyRoad: Road = { name: '', points: [], stretches: [] }
