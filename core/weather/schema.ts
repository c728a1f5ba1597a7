import { z } from 'zod'
import { isWallClock } from '../ride'
import { text } from '../validation'

/** The weather of one day of the ride. */
export const weatherDaySchema = z
  .object({
    date: z.string().refine((text) => isWallClock(`${text}T00:00`), { message: 'a date such as 2026-06-12' }),
    lowC: z.number().min(-60).max(50),
    highC: z.number().min(-60).max(60),
    rainMm: z.number().min(0).max(500),
    windKmH: z.number().min(0).max(300),
  })
  .refine((day) => day.highC >= day.lowC, { message: 'a high that is not below the low', path: ['highC'] })
export type WeatherDay = z.infer<typeof weatherDaySchema>

/** What the weather is said to become; days that are not among them count as dry and mild. */
export const forecastSchema = z.object({
  /** Who says so; empty when typed by hand. */
  from: text(120).default(''),
  days: z.array(weatherDaySchema).max(400).default([]),
})
export type Forecast = z.infer<typeof forecastSchema>
