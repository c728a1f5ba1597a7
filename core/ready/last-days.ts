import { holidayCountries, parseWallClock, sharedOpeningCache, type Opening, type OpeningCache } from '../ride'
import { daysAfter } from '../task'

/** Nobody looks farther back than so many days for one on which something is possible. */
const farthestDays = 400

/** Whether something is possible on a day. */
export type OnDay = (day: string) => boolean

/** The last day up to one, itself among them, on which something is possible; null where there is none for a year. */
export function lastSuch(upTo: string, isPossible: OnDay): string | null {
  for (let back = 0; back < farthestDays; back++) {
    const day = daysAfter(upTo, -back)
    if (isPossible(day)) return day
  }
  return null
}

/** The day so many working days before another, which need not be one itself; null where there are too few. */
export function workingDaysBefore(day: string, days: number, isWorking: OnDay): string | null {
  let before = day
  for (let left = days; left > 0; left--) {
    const next = lastSuch(daysAfter(before, -1), isWorking)
    if (next === null) return null
    before = next
  }
  return lastSuch(before, isWorking)
}

/**
 * Working days: from Monday to Friday, but for the public holidays of a country, as the library `opening_hours` knows them.
 *
 * @param country two letters of ISO 3166-1; null, or one whose holidays are not known, for none
 */
export function workingDays(country: string | null, book: OpeningCache = sharedOpeningCache): OnDay {
  const knows = country !== null && holidayCountries.has(country)
  const hours = knows ? 'Mo-Fr 09:00-17:00; PH off' : 'Mo-Fr 09:00-17:00'
  const opening = book.find(hours, { lat: 0, lon: 0, country: knows ? country : null })
  return (day) => opening?.at(parseWallClock(`${day}T12:00`)) === 'open'
}

/** Days on which something opens at all; where that is uncertain, it may. */
export const openDays =
  (opening: Opening): OnDay =>
  (day) => {
    const midnight = parseWallClock(`${day}T00:00`)
    if (opening.at(midnight) !== 'closed') return true
    const opens = opening.opensFrom(midnight)
    return opens !== undefined && opens < midnight + 24 * 60
  }
