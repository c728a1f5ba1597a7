/** Days of the Gregorian calendar as "2026-05-30": they have no hour and no time zone, so that no clock put forward or back moves them. */

const dayMs = 24 * 3600_000

/**
 * A day so many days after another; before it where the number is negative.
 *
 * @param day such as 2026-05-30
 */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * dayMs).toISOString().slice(0, 10)

/** How many days another day is after one; negative where it is before. */
export const daysBetween = (from: string, to: string): number => Math.round((Date.parse(to) - Date.parse(from)) / dayMs)
