import ical from 'ical-generator'
import { daysAfter } from '../task'

/** A day's entry in a calendar. */
export interface CalendarEntry {
  /** The task that it stands for (`taskKey`). */
  readonly key: string
  /** The day, such as 2026-05-30. */
  readonly day: string
  readonly title: string
  readonly text: string
}

/** An identifier that stays the same as long as plan and task do: whoever takes a calendar in once more finds it again. */
export const entryId = (plan: string, key: string): string =>
  `${encodeURIComponent(key)}@${encodeURIComponent(plan)}.rag-tin`

/** What the library adds for one calendar alone; a whole day is said by its start already. */
const ofOneCalendar = /^X-[A-Z]+-[A-Z]+-ALLDAYEVENT:TRUE\r\n/gm

/**
 * Writes a calendar as iCalendar (RFC 5545), each entry a whole day: a day has no time zone, so that it is the same day
 * everywhere, whatever the clocks do.
 *
 * @param plan the plan's own name for all times, such as its id
 * @param stamp when it is written, such as 2026-05-30
 */
export function writeCalendar(name: string, plan: string, entries: readonly CalendarEntry[], stamp: string): string {
  const calendar = ical({ name, prodId: { company: 'rag-tin', product: 'ready' } })
  for (const { key, day, title, text } of entries) {
    calendar.createEvent({
      id: entryId(plan, key),
      start: new Date(`${day}T00:00:00Z`),
      end: new Date(`${daysAfter(day, 1)}T00:00:00Z`),
      allDay: true,
      summary: title,
      description: text,
      stamp: new Date(`${stamp}T00:00:00Z`),
    })
  }
  // The last line ends like all others.
  return `${calendar.toString().trimEnd()}\r\n`.replace(ofOneCalendar, '')
}
