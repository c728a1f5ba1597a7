import { daysAfter } from '../task'
import { lastSuch, workingDaysBefore, type OnDay } from './last-days'

/** When a parcel can be posted. */
export interface PostingDays {
  /** The last day on which it is in time. */
  readonly last: string
  /** The first day after which it is still kept when one comes by. */
  readonly first: string
}

/**
 * When a parcel can be posted to a place where it is called for: it is handed in there on a day on which that is open, one
 * before one comes by at the latest, and travels so many working days. Posted too early it goes back, as it is not kept for ever.
 *
 * @param visit the day on which one comes by
 * @param days working days that it travels
 * @param keptDays days for which it is kept
 * @returns null where no day is early enough
 */
export function postingDays(
  visit: string,
  { days, keptDays }: { readonly days: number; readonly keptDays: number },
  isWorking: OnDay,
  isOpenThere: OnDay,
): PostingDays | null {
  const handedIn = lastSuch(daysAfter(visit, -1), isOpenThere)
  const last = handedIn === null ? null : workingDaysBefore(handedIn, days, isWorking)
  const soonest = workingDaysBefore(daysAfter(visit, -keptDays), days, isWorking)
  if (last === null || soonest === null) return null
  return { last, first: soonest < last ? soonest : last }
}
