/**
 * A date and time as the clock on the wall shows it, in minutes since
 * 1970-01-01 00:00 on that same clock. Opening hours and riding days are kept
 * by the wall; what the clock is in universal time only the sun asks.
 */
export type WallMinutes = number

export const minutesPerDay = 24 * 60

const written = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/

/** Whether a text is a date that exists and a time of day: "2026-06-12T08:00". */
export function isWallClock(text: string): boolean {
  return written.test(text) && formatWallClock(parseWallClock(text)) === text
}

/**
 * Reads "2026-06-12T08:00".
 *
 * @throws RangeError for anything else
 */
export function parseWallClock(text: string): WallMinutes {
  const match = written.exec(text)
  if (!match) throw new RangeError(`"${text}" is no date and time such as 2026-06-12T08:00`)
  const [year, month, day, hour, minute] = match.slice(1).map(Number) as [number, number, number, number, number]
  return Date.UTC(year, month - 1, day, hour, minute) / 60_000
}

/** Writes "2026-06-12T08:00"; parts of a minute are left out, but not a whole one to rounding. */
export function formatWallClock(at: WallMinutes): string {
  return new Date(Math.floor(at + 1e-6) * 60_000).toISOString().slice(0, 16)
}

/** The date alone: "2026-06-12". */
export function dateOf(at: WallMinutes): string {
  return formatWallClock(at).slice(0, 10)
}

/** The time of day alone: "08:00". */
export function timeOf(at: WallMinutes): string {
  return formatWallClock(at).slice(11)
}

/** Hours after midnight as a time of day: 8.5 is "08:30". */
export function timeOfHours(hours: number): string {
  return timeOf(Math.round(hours * 60))
}

/** "08:30" as hours after midnight. */
export function hoursOfTime(time: string): number {
  return parseWallClock(`1970-01-01T${time}`) / 60
}

/** Midnight at which a day begins. */
export function midnightBefore(at: WallMinutes): WallMinutes {
  return Math.floor(at / minutesPerDay) * minutesPerDay
}

const weekday = new Intl.DateTimeFormat('en', { weekday: 'long', timeZone: 'UTC' })

/** The weekday's name: "Friday". */
export function weekdayOf(at: WallMinutes): string {
  return weekday.format(at * 60_000)
}
