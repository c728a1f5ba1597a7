import { z } from 'zod'
import { checkAgainst } from '#core/validation'
import { kmAlong, type Road } from '#core/road'
import { faultLines, partNames, partSchemas, tripFormat, type PartName, type Revision, type Trip } from '#core/trip'

/** A road whose line, which is long and seldom needed, stays the JSON text that it is kept as. */
export interface StoredRoad {
  readonly name: string
  readonly stretches: Road['stretches']
  /** [[lat, lon, eleM or null], …] */
  readonly points: string
  readonly lengthKm: number
}

/** The parts of a trip as the server has them in hand. */
export type StoredParts = { readonly [P in PartName]: P extends 'road' ? StoredRoad : Trip[P] }
export type StoredPart = StoredParts[PartName]

export function storedRoad({ name, stretches, points }: Road): StoredRoad {
  return { name, stretches, points: JSON.stringify(points), lengthKm: kmAlong(points).at(-1) ?? 0 }
}

/** The parts of a checked trip. */
export function storedParts({ format: _, road, ...parts }: Trip): StoredParts {
  return { ...parts, road: storedRoad(road) }
}

/** One part of a trip as it shall be, and the revision it was changed from; or what is wrong with it. */
export type PartChange = { readonly part: PartName; readonly base: Revision } & (
  { readonly value: StoredPart } | { readonly faults: readonly string[] }
)

/** Checks what is to become a part of a trip; a fault says in which part it is: "bench[3].massG". */
export function partChange(part: PartName, base: Revision, given: unknown): PartChange {
  try {
    const value = checkAgainst(z.object({ [part]: partSchemas[part] }), { [part]: given })[part] as Trip[PartName]
    return { part, base, value: isRoad(value) ? storedRoad(value) : value }
  } catch (error) {
    const faults = faultLines(error)
    if (!faults) throw error
    return { part, base, faults }
  }
}

const isRoad = (value: Trip[PartName]): value is Road => typeof value === 'object' && 'points' in value

/** The trip of these parts, with no line to its road: all that the parts say of each other can be checked by it. */
export function tripWithoutLine({ road, ...parts }: StoredParts): Trip {
  return { format: tripFormat, ...parts, road: { name: road.name, points: [], stretches: road.stretches } }
}

/**
 * A part as it stands in a trip document. It is kept as bytes: to make them of a long text takes as long as all else that
 * handing out a trip takes.
 */
export function jsonOfPart(value: StoredPart): Buffer {
  if (typeof value !== 'object' || !('lengthKm' in value)) return Buffer.from(JSON.stringify(value))
  const { name, points, stretches } = value
  return Buffer.from(`{"name":${JSON.stringify(name)},"points":${points},"stretches":${JSON.stringify(stretches)}}`)
}

/** A trip document of the JSON of its parts. */
export function tripJson(json: Readonly<Record<PartName, Buffer>>): Buffer {
  const parts = partNames.flatMap((part, i) => [Buffer.from(`${i > 0 ? ',' : ''}"${part}":`), json[part]])
  return Buffer.concat([Buffer.from(`{"format":"${tripFormat}",`), ...parts, Buffer.from('}')])
}
