import { getLocalTimeZone, now, toCalendarDateTime } from '@internationalized/date'

/** Now, by the clock on the wall where one is: "2026-06-14T15:40". */
export const wallClockNow = (): string => toCalendarDateTime(now(getLocalTimeZone())).toString().slice(0, 16)
