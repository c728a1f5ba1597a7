import { z } from 'zod'
import { surfaces, type Surface } from '../road'
import { idSchema, text } from '../validation'
import { isWallClock } from './wall-clock'

/** The starts a ride can have. A year outside them is one that is still being typed, or a slip. */
export const startsBetween = { first: '1900-01-01T00:00', last: '2199-12-31T23:59' } as const
/** Their years, to be said: "1900 to 2199". */
export const startYears = `${startsBetween.first.slice(0, 4)} to ${startsBetween.last.slice(0, 4)}`

/** A night at a place that is settled beforehand; more than one means days of rest. */
export const nightSchema = z.object({
  id: idSchema,
  roadKm: z.number().min(0),
  /** The stop it is spent at, and goes along with; null out on the road. One that is not there any more counts as none. */
  stop: idSchema.nullable().default(null),
  nights: z.number().int().min(1).max(30).default(1),
})

const speed = z.number().min(1).max(60)

/** Speed on the level, loaded, in km/h. Planning values. */
export const defaultPace: Record<Surface, number> = {
  asphalt: 20,
  gravel: 15,
  track: 12,
  singletrack: 8,
  sand: 6,
  mud: 5,
}

/** The longest of what is written down to call, in characters. */
export const longestNumbers = 300

/** When the ride is, and how fast: what makes of a place a date and a time. */
export const rideSchema = z.object({
  /** When the first day begins, by the clock on the wall; null while nobody knows. */
  start: z
    .string()
    .refine(isWallClock, { message: 'a date and a time such as 2026-06-12T08:00' })
    .refine((start) => start >= startsBetween.first && start <= startsBetween.last, {
      message: `a date of the years ${startYears}`,
    })
    .nullable()
    .default(null),
  /** Hours by which the clocks there are ahead of universal time; for the sun. */
  utcOffsetH: z.number().min(-12).max(14).default(0),
  /** The country, for public holidays in opening hours: two letters of ISO 3166-1. */
  country: z
    .string()
    .regex(/^[a-z]{2}$/, 'two small letters such as "is"')
    .nullable()
    .default(null),
  /** When later days begin, in hours after midnight. */
  dayStartsH: z.number().min(0).lt(24).default(8),
  /** Hours of riding in a day. */
  ridingH: z.number().min(1).max(24).default(7),
  /** Hours of standing about for each hour of riding. */
  pauseH: z.number().min(0).max(2).default(0.25),
  pace: z
    .object(Object.fromEntries(surfaces.map((surface) => [surface, speed.default(defaultPace[surface])])) as PaceShape)
    .prefault({}),
  /** Metres of climb that take an hour beyond the level time. */
  climbMPerH: z.number().min(100).max(3000).default(700),
  nights: z.array(nightSchema).max(200).default([]),
  /** The share of the riding that riders are out of reach of one another; stretches of the road may say otherwise. */
  apart: z.number().min(0).max(1).default(0),
  /** Whom to call in need, as riders wrote it down for where they ride; and who at home knows of the ride. */
  emergency: text(longestNumbers).default(''),
  whoKnows: text(longestNumbers).default(''),
})
type PaceShape = Record<Surface, z.ZodDefault<z.ZodNumber>>
export type Ride = z.infer<typeof rideSchema>
