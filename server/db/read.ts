import { LRUCache } from 'lru-cache'
import { partNames, type PartName, type Revision, type Revisions } from '#core/trip'
import type { Connection } from './connection'
import { jsonOfPart, type StoredPart, type StoredParts } from './stored-parts'
import { readPart } from './trip-rows'

interface ReadPart {
  readonly value: StoredPart
  readonly json: Buffer
}

/**
 * Parts that were read lately. What is kept under a revision never changes, so none of them is ever out of date; the
 * tables are read for those that are not here.
 */
const lately = new LRUCache<string, ReadPart>({
  maxSize: 96_000_000,
  sizeCalculation: ({ json }) => 2 * json.length + 1,
})

const keyOf = (tripId: string, part: PartName, { number, save }: Revision) => `${tripId} ${part} ${number} ${save}`

/** A trip with the JSON of each part, as it is handed out. */
export interface ReadTrip {
  readonly parts: StoredParts
  readonly json: Readonly<Record<PartName, Buffer>>
}

/** A trip whose every part was read lately; undefined where one was not. */
export function readLately(tripId: string, revisions: Revisions): ReadTrip | undefined {
  const read = partNames.map((part) => [part, lately.get(keyOf(tripId, part, revisions[part]))] as const)
  return read.every((entry): entry is [PartName, ReadPart] => entry[1] !== undefined) ? together(read) : undefined
}

/** @param db a transaction that sees the parts of these very revisions */
export async function readTrip(db: Connection, tripId: string, revisions: Revisions): Promise<ReadTrip> {
  const read: [PartName, ReadPart][] = []
  for (const part of partNames) {
    const key = keyOf(tripId, part, revisions[part])
    let found = lately.get(key)
    if (!found) {
      const value = await readPart[part](db, tripId)
      found = { value, json: jsonOfPart(value) }
      lately.set(key, found)
    }
    read.push([part, found])
  }
  return together(read)
}

function together(read: readonly (readonly [PartName, ReadPart])[]): ReadTrip {
  return {
    parts: Object.fromEntries(read.map(([part, { value }]) => [part, value])) as unknown as StoredParts,
    json: Object.fromEntries(read.map(([part, { json }]) => [part, json])) as Record<PartName, Buffer>,
  }
}
