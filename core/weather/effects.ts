import type { WeatherDay } from './schema'

/** From so much rain a day its road counts as wet. Planning value. */
export const wetFromMm = 2

/** Below this low a night out costs more. Planning value. */
export const mildFromC = 10
/** How much more for each degree, as a share of the price: half as much again at 0 °C. Planning value. */
const dearerPerDegree = 0.05
/** How much more in rain. Planning value. */
const dearerInRain = 1.3

/** Whether a day's road counts as wet. */
export function isWet(day: WeatherDay | undefined): boolean {
  return day !== undefined && day.rainMm >= wetFromMm
}

/** What a night out costs against a dry and mild one: 1 or more. */
export function nightPriceFactor(day: WeatherDay | undefined): number {
  if (!day) return 1
  const cold = 1 + dearerPerDegree * Math.max(0, mildFromC - day.lowC)
  return isWet(day) ? cold * dearerInRain : cold
}
