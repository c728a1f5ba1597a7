import { catalogue } from '#catalogue'
import type { LedgerOfTrip } from '#core/trip-ledger'
import { logSchema, type Log } from '#core/log'
import type { Survey } from '#core/road'
import { whatIsLeft, type KitLeft } from '#core/trail'
import type { Trip } from '#core/trip'
import { checkAgainst, Fault, nth } from '#core/validation'
import { jsonFile } from './json-file'
import { packedKit } from './packed-kit'

/** What a crew has along on the road, and what that was worked out from. */
export interface KitOnTheRoad {
  readonly trip: Trip
  readonly laid: LedgerOfTrip
  readonly kit: KitLeft
  /** The bag in which a thing is packed; nothing where it is in none. */
  readonly bagOf: (thing: string) => string | undefined
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
  const { laid, split, packs } = packedKit(trip, survey)
  const planned = split.riders.flatMap(({ id: rider, counts }) =>
    Array.from(counts).flatMap((count, item) => (count > 0 ? [{ rider, thing: nth(trip.bench, item).id, count }] : [])),
  )
  const storage = new Map(trip.bikes.flatMap((bike) => bike.storage.map(({ id, name }) => [`${bike.id} ${id}`, name])))
  const bags = new Map(
    packs.flatMap(({ bikeId, places }) =>
      places.flatMap(({ storageId, layers }) =>
        layers.map(({ thing }) => [nth(trip.bench, thing).id, storage.get(`${bikeId} ${storageId}`)] as const),
      ),
    ),
  )
  return { trip, laid, kit: whatIsLeft(trip, planned, catalogue), bagOf: (thing) => bags.get(thing) }
}
