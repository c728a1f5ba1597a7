import OpeningRules from 'opening_hours'
import { holidayCountries } from './holiday-countries'
import { formatWallClock, type WallMinutes } from './wall-clock'

/** Where opening hours are read: the sun needs a position, public holidays a country. */
export interface Locality {
  readonly lat: number
  readonly lon: number
  /** Two letters of ISO 3166-1, lower case; null where nobody has said. */
  readonly country: string | null
}

/** What is known of an opening at one moment. */
export type OpeningState = 'open' | 'closed' | 'uncertain'

/** Opening hours that could be read. */
export interface Opening {
  at(moment: WallMinutes): OpeningState
  /** The first moment from a given one at which it is open; undefined when not within a year. */
  opensFrom(moment: WallMinutes): WallMinutes | undefined
  /** The same hours as the specification would have them written. */
  readonly tidy: string
  /** What the reader had to guess at, in its own words. */
  readonly warnings: readonly string[]
}

const aYear = 366 * 24 * 60
/** Mode 0: points in time and ranges of time alike, as shops have them. */
const readerSettings = {
  mode: 0,
  locale: 'en',
  tag_key: 'opening_hours',
  map_value: false,
  warnings_severity: 4,
} as const

/** Hours that cannot be read, or that could mean two things. */
export interface Unreadable {
  readonly error: string
  /** What may be meant, in the specification's own way of writing. */
  readonly guesses: readonly string[]
}

/** Whether the reader had to take a bare hour for one of the morning or of the evening: it says “could mean …”. */
const isTwofold = (warning: string) => /could mean/.test(warning)

/** "Mo-Fr 09:00-05:00" with its end in the afternoon: "Mo-Fr 09:00-17:00". */
function byDay(tidy: string): string {
  return tidy.replace(/(\d\d):(\d\d)-(\d\d):(\d\d)/g, (span, h1: string, m1: string, h2: string, m2: string) =>
    Number(h2) < 12 && `${h2}${m2}` <= `${h1}${m1}` ? `${h1}:${m1}-${Number(h2) + 12}:${m2}` : span,
  )
}

/** Empty rules before the first one: they say nothing, and the library would try all ways to take them apart. */
const nothingYet = /^[\s;]+/
/** A year beyond all calendars, up to which the library would count. */
const beyondCalendars = /\d{5}/

/**
 * Reads opening hours in the OpenStreetMap syntax
 * (https://wiki.openstreetmap.org/wiki/Key:opening_hours/specification), with
 * the reference library `opening_hours`.
 *
 * @returns the opening, or what could not be understood, in words; hours that could mean two things are not guessed at
 */
export function readOpening(given: string, locality: Locality): Opening | Unreadable {
  const { lat, lon, country } = locality
  const text = given.replace(nothingYet, '')
  if (text === '') return { error: 'there is nothing to read', guesses: [] }
  if (beyondCalendars.test(text)) return { error: 'a number in it has more than four digits', guesses: [] }
  // The library knows school holidays by region only, and complains to the console instead of saying so.
  if (/SH/.test(text)) return { error: 'school holidays depend on the region, which nobody can set here', guesses: [] }
  if (/PH/.test(text)) {
    if (country === null) return { error: 'holidays depend on the country, which is not set', guesses: [] }
    if (!holidayCountries.has(country))
      return { error: `the public holidays of “${country}” are not known here`, guesses: [] }
  }
  let rules: OpeningRules
  let warnings: string[]
  let tidy: string
  try {
    rules = new OpeningRules(text, { lat, lon, address: { country_code: country ?? '', state: '' } }, readerSettings)
    warnings = rules.getWarnings()
    tidy = rules.prettifyValue()
  } catch (error) {
    const said = error instanceof Error ? error.message : String(error)
    return { error: said.replace(/\s+/g, ' ').trim(), guesses: [] }
  }
  if (warnings.some(isTwofold)) {
    return { error: 'an hour of it could be one of the morning or of the evening', guesses: [byDay(tidy), tidy] }
  }
  // Some rules that make no sense are found out only when they are asked about a moment.
  const at = (moment: WallMinutes): OpeningState => {
    const date = onMachine(moment)
    return attempt(() => (rules.getUnknown(date) ? 'uncertain' : rules.getState(date) ? 'open' : 'closed'), 'uncertain')
  }
  return {
    at,
    opensFrom(moment) {
      let now = moment
      while (at(now) !== 'open') {
        const begins = onMachine(now)
        const next = attempt(() => rules.getNextChange(begins, onMachine(moment + aYear)), undefined)
        if (!next) return undefined
        const changed = offMachine(next)
        if (changed <= now || changed > moment + aYear) return undefined
        now = changed
      }
      return now
    },
    tidy,
    warnings,
  }
}

function attempt<T>(work: () => T, otherwise: T): T {
  try {
    return work()
  } catch {
    return otherwise
  }
}

/**
 * The library reads a Date by this machine's own wall clock, so a moment is
 * handed to it as that clock would show it, wherever the machine stands.
 */
function onMachine(moment: WallMinutes): Date {
  const [date, time] = formatWallClock(moment).split('T') as [string, string]
  const [year, month, day] = date.split('-').map(Number) as [number, number, number]
  const [hour, minute] = time.split(':').map(Number) as [number, number]
  return new Date(year, month - 1, day, hour, minute)
}

function offMachine(date: Date): WallMinutes {
  return Date.UTC(date.getFullYear(), date.getMonth(), date.getDate(), date.getHours(), date.getMinutes()) / 60_000
}
