import { catalogue } from '#catalogue'
import type { LedgerOfTrip } from '#core/trip-ledger'
import { logSchema, type Log } from '#core/log'
import { packedKit } from '#core/pack'
import type { Survey } from '#core/road'
import { carriedAsPacked, whatIsLeft, type KitLeft } from '#core/trail'
import type { Trip } from '#core/trip'
import { checkAgainst, Fault } from '#core/validation'
import { jsonFile } from './json-file'

/** What a crew has along on the road, and what that was worked out from. */
export interface KitOnTheRoad {
  readonly trip: Trip
  readonly laid: LedgerOfTrip
  readonly kit: KitLeft
}

/** Entries of a log in a file: a list of them, or one by itself. */
export function logFile(path: string): Log {
  const read = jsonFile(path, 'a list of entries of a log')
  const checked = checkAgainst(logSchema, Array.isArray(read) ? read : [read])
  return checked
}

/** A trip with more entries in its log. */
export function withEntries(trip: Trip, more: Log): Trip {
  const known = new Set(trip.log.map(({ id }) => id))
  const twice = more.find(({ id }) => known.has(id))
  if (twice)
    throw new Fault('the log', `an entry "${twice.id}" that the trip has already`, 'entries with ids of their own')
  return { ...trip, log: [...trip.log, ...more] }
}

/** What is left of the best kit, shared out and packed, by a trip's log. */
export function kitOnTheRoad(trip: Trip, survey: Survey): KitOnTheRoad {
  const { laid, split, packs } = packedKit(trip, survey, catalogue)
  return { trip, laid, kit: whatIsLeft(trip, carriedAsPacked(trip, split, packs), catalogue) }
}
