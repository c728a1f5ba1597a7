import ICAL from 'ical.js'
import { Fault } from '../validation'
import { entryId } from './calendar-write'

/** What a calendar says of the tasks of a plan. */
export interface CalendarReading {
  /** Days by the key of the task. */
  readonly days: ReadonlyMap<string, string>
  /** How many entries are of no task of the plan. */
  readonly others: number
}

/** The largest calendar that is read, in characters. */
const mostCharacters = 5_000_000

/**
 * Reads a calendar (iCalendar, RFC 5545) back: on which day each task of a plan stands in it. An entry at an hour counts by
 * its date on the wall where it stands.
 *
 * @param plan the plan's own name for all times
 * @param keys of the tasks of the plan
 * @throws Fault where it is no calendar
 */
export function readCalendar(text: string, plan: string, keys: readonly string[]): CalendarReading {
  if (text.length > mostCharacters)
    throw new Fault('the calendar', `${text.length} characters`, `at most ${mostCharacters}`)
  const keyOf = new Map(keys.map((key) => [entryId(plan, key), key]))
  const days = new Map<string, string>()
  let others = 0
  for (const event of eventsOf(text)) {
    const uid = event.getFirstPropertyValue('uid')
    const key = typeof uid === 'string' ? keyOf.get(uid) : undefined
    const start = event.getFirstPropertyValue('dtstart')
    if (key === undefined || !(start instanceof ICAL.Time)) others++
    else if (event.getFirstPropertyValue('status') !== 'CANCELLED') days.set(key, start.toString().slice(0, 10))
  }
  return { days, others }
}

function eventsOf(text: string): ICAL.Component[] {
  const expected = 'a calendar file (iCalendar)'
  let parsed: unknown
  try {
    parsed = ICAL.parse(text)
  } catch (error) {
    const said = error instanceof Error ? error.message : String(error)
    throw new Fault('the calendar', `what cannot be read (${said.slice(0, 120)})`, expected)
  }
  // One file may hold several calendars, one after another (RFC 5545, 3.4).
  const all = Array.isArray(parsed) && Array.isArray(parsed[0]) ? (parsed as unknown[]) : [parsed]
  return all.flatMap((each) => {
    const calendar = new ICAL.Component(each as ConstructorParameters<typeof ICAL.Component>[0])
    if (calendar.name !== 'vcalendar')
      throw new Fault('the calendar', calendar.name ? `"${calendar.name}"` : 'nothing', expected)
    return calendar.getAllSubcomponents('vevent')
  })
}
