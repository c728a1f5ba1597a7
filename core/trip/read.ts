import { checkAgainst, Fault, Faults, numberAt } from '../validation'
import type { Reference } from '../reference'
import { kmAlong } from '../road'
import { checkReferences } from './check'
import { tripFrom1 } from './migration-1'
import { tripFrom2 } from './migration-2'
import { tripFrom3 } from './migration-3'
import { tripFrom4 } from './migration-4'
import { tripFrom5 } from './migration-5'
import { packedWhereThereIs } from './packed-where-there-is'
import { tripFormat, tripSchema, type Trip } from './schema'

type Document = Record<string, unknown>

/** Steps from each older format to the next one; `rag-tin.trip/1` is the first. */
const migrations: ReadonlyMap<number, (document: Document, reference: Reference) => Document> = new Map([
  [1, tripFrom1],
  [2, tripFrom2],
  [3, tripFrom3],
  [4, tripFrom4],
  [5, tripFrom5],
])
const newest = Number(tripFormat.split('/')[1])

/**
 * Brings a trip document to the newest format.
 *
 * @throws Fault when it is not a trip document or comes from a newer Rag Tin
 */
export function migrate(input: unknown, reference: Reference, steps = migrations, target = newest): Document {
  if (input === null || typeof input !== 'object' || Array.isArray(input)) {
    throw new Fault(
      'the document',
      Array.isArray(input) ? 'a list' : String(input),
      'a trip document, which is an object',
    )
  }
  let document = input as Document
  const match = /^rag-tin\.trip\/(\d+)$/.exec(String(document.format))
  if (!match)
    throw new Fault(
      'format',
      document.format === undefined ? 'nothing' : JSON.stringify(document.format),
      `"${tripFormat}"`,
    )
  let version = Number(match[1])
  if (version > target) {
    throw new Fault(
      'format',
      `"${String(document.format)}"`,
      `"${tripFormat}" or older; a newer Rag Tin wrote this, open it there`,
    )
  }
  for (; version < target; version++) {
    const step = steps.get(version)
    if (!step) throw new Fault('format', `"${String(document.format)}"`, `"${tripFormat}"`)
    document = { ...step(document, reference), format: `rag-tin.trip/${version + 1}` }
  }
  return document
}

/**
 * Reads a trip document of any known version, with every check there is.
 *
 * @throws Faults (or a single Fault) saying where, what and what was expected
 */
export function readTrip(input: unknown, reference: Reference): Trip {
  const trip = checkAgainst(tripSchema, migrate(input, reference))
  const km = kmAlong(trip.road.points)
  checkReferences(trip, km.length > 0 ? numberAt(km, km.length - 1) : 0, reference)
  return { ...trip, bench: packedWhereThereIs(trip.bench, trip.bikes) }
}

/** Reads JSON text as a trip document. */
export function readTripText(text: string, reference: Reference): Trip {
  let input: unknown
  try {
    input = JSON.parse(text)
  } catch (error) {
    throw new Fault(
      'the file',
      `not JSON (${error instanceof Error ? error.message : 'unreadable'})`,
      'a trip document',
    )
  }
  return readTrip(input, reference)
}

/** So many faults are told of at a time; nobody reads more. */
const mostFaults = 20

/** The faults in an error thrown by reading, as single lines for people: the first of them, and how many more. */
export function faultLines(error: unknown): string[] | undefined {
  if (error instanceof Faults) {
    const lines = error.faults.slice(0, mostFaults).map((fault) => fault.message)
    const more = error.faults.length - lines.length
    return more > 0 ? [...lines, `and ${more} more`] : lines
  }
  if (error instanceof Fault) return [error.message]
  return undefined
}
