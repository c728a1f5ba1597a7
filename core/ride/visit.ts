import { readOpening, type Locality, type Opening } from './opening'
import type { Stay } from './timetable'

/** How a service is found on the day one comes by. */
export interface Visit {
  readonly stay: Stay
  /** Whether it is open while one is there, or only after a wait; uncertain where its hours are unknown. */
  readonly found: 'open' | 'shut' | 'uncertain'
  /** Hours to wait, beyond the time one is there anyway, until it opens; 0 when open or uncertain, null when it never does. */
  readonly waitH: number | null
}

/**
 * How a service is found by somebody who is there from one moment to another.
 *
 * @param opening its hours; undefined where they are unknown
 */
export function visitDuring(stay: Stay, opening: Opening | undefined): Visit {
  if (!opening) return { stay, found: 'uncertain', waitH: 0 }
  const opens = opening.opensFrom(stay.arrives)
  if (opens !== undefined && opens <= stay.leaves) return { stay, found: 'open', waitH: 0 }
  if (opening.at(stay.arrives) === 'uncertain') return { stay, found: 'uncertain', waitH: 0 }
  return { stay, found: 'shut', waitH: opens === undefined ? null : (opens - stay.leaves) / 60 }
}

/** So many openings are kept; each takes some tens of kilobytes. */
const mostKept = 200
/** Hours that go by the sun; for all others it does not matter where on the road they are read. */
const goesByTheSun = /sun|dawn|dusk/i
/** The sun is taken to be the same within so many degrees: half a minute at most. */
const sunDegrees = 0.1

/** Opening hours read once: the same words stand at many stops, and are asked for at every change of the plan. */
export class OpeningCache {
  /** The one used last at the end. */
  private readonly read = new Map<string, Opening | undefined>()

  /** The opening meant by some words; undefined where there are none, or none that can be read. */
  find(text: string, { lat, lon, country }: Locality): Opening | undefined {
    if (text.trim() === '') return undefined
    const rounded = (degrees: number) => Math.round(degrees / sunDegrees) * sunDegrees
    const bySun = goesByTheSun.test(text)
    const locality = bySun ? { lat: rounded(lat), lon: rounded(lon), country } : { lat: 0, lon: 0, country }
    const key = JSON.stringify([text, locality])
    const opening = this.read.has(key) ? this.read.get(key) : readable(text, locality)
    this.read.delete(key)
    this.read.set(key, opening)
    for (const oldest of [...this.read.keys()].slice(0, -mostKept)) this.read.delete(oldest)
    return opening
  }

  /** How many openings are kept. */
  get size(): number {
    return this.read.size
  }
}

function readable(text: string, locality: Locality): Opening | undefined {
  const opening = readOpening(text, locality)
  return 'error' in opening ? undefined : opening
}

/** The book that is read from where nobody brings one: hours mean the same however often they are asked for. */
export const sharedOpeningCache = new OpeningCache()
