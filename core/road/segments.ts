import { nth } from '../validation'
import { defaultTraits, type Stretch, type StretchTraits } from './schema'

/** A piece of the road with one character; the pieces of a road lie end to end. */
export interface Segment extends StretchTraits {
  readonly fromKm: number
  readonly toKm: number
  /** The stretch it was cut from; null where nobody has said anything. */
  readonly stretch: string | null
}

const traitsOf = ({ surface, thorns, wet, signal, traffic, apart }: StretchTraits): StretchTraits => ({
  surface,
  thorns,
  wet,
  signal,
  traffic,
  apart,
})

function sameTraits(a: StretchTraits, b: StretchTraits): boolean {
  return (
    a.surface === b.surface &&
    a.thorns === b.thorns &&
    a.wet === b.wet &&
    a.signal === b.signal &&
    a.traffic === b.traffic &&
    a.apart === b.apart
  )
}

/** The road as pieces from its start to its end, without a hole; where stretches overlap, the later covers the earlier. */
export function segmentsOf(stretches: readonly Stretch[], lengthKm: number, cuts: readonly number[] = []): Segment[] {
  const marks = [0, lengthKm, ...cuts, ...stretches.flatMap(({ fromKm, toKm }) => [fromKm, toKm])]
  const edges = [...new Set(marks.map((km) => Math.min(Math.max(km, 0), lengthKm)))].sort((a, b) => a - b)
  return edges.slice(1).map((toKm, i) => {
    const fromKm = nth(edges, i)
    const cover = stretches.findLast((stretch) => stretch.fromKm <= fromKm && stretch.toKm >= toKm)
    return { fromKm, toKm, stretch: cover?.id ?? null, ...traitsOf(cover ?? defaultTraits) }
  })
}

/** Where somebody has said one thing of the road, whatever else may change there: parts that touch and say the same are one. */
export function runsOf<K extends keyof StretchTraits>(
  stretches: readonly Stretch[],
  lengthKm: number,
  trait: K,
): { fromKm: number; toKm: number; says: NonNullable<StretchTraits[K]> }[] {
  const runs: { fromKm: number; toKm: number; says: NonNullable<StretchTraits[K]> }[] = []
  for (const { fromKm, toKm, [trait]: says } of segmentsOf(stretches, lengthKm)) {
    if (says === null) continue
    const last = runs.at(-1)
    if (last?.toKm === fromKm && last.says === says) last.toKm = toKm
    else runs.push({ fromKm, toKm, says })
  }
  return runs
}

/**
 * Says something of a part of the road and leaves the rest as it was.
 *
 * @param change what is said; traits left out stay
 * @param newId gives a fresh id where a stretch is cut in two
 * @returns stretches that neither overlap nor touch a neighbour of the same character; plain road needs none
 */
export function setTraits(
  stretches: readonly Stretch[],
  lengthKm: number,
  fromKm: number,
  toKm: number,
  change: Partial<StretchTraits>,
  newId: () => string,
): Stretch[] {
  const pieces = segmentsOf(stretches, lengthKm, [fromKm, toKm]).map((piece) =>
    piece.fromKm >= fromKm && piece.toKm <= toKm ? { ...piece, ...change } : piece,
  )
  const merged: Segment[] = []
  for (const piece of pieces) {
    const last = merged.at(-1)
    if (last && sameTraits(last, piece)) {
      merged[merged.length - 1] = { ...last, toKm: piece.toKm, stretch: last.stretch ?? piece.stretch }
    } else merged.push(piece)
  }
  const used = new Set<string>()
  return merged.flatMap((piece) => {
    if (sameTraits(piece, defaultTraits)) return []
    const id = piece.stretch !== null && !used.has(piece.stretch) ? piece.stretch : newId()
    used.add(id)
    return [{ id, fromKm: piece.fromKm, toKm: piece.toKm, ...traitsOf(piece) }]
  })
}

/**
 * Moves the place where one character of the road gives way to the next:
 * whichever side is pulled covers what it is pulled over.
 *
 * @param edgeKm an edge between two pieces; elsewhere nothing happens
 */
export function moveBoundary(
  stretches: readonly Stretch[],
  lengthKm: number,
  edgeKm: number,
  toKm: number,
  newId: () => string,
): Stretch[] {
  const pieces = segmentsOf(stretches, lengthKm)
  const left = pieces.find((piece) => piece.toKm === edgeKm)
  const right = pieces.find((piece) => piece.fromKm === edgeKm)
  if (!left || !right || toKm === edgeKm) return [...stretches]
  return toKm > edgeKm
    ? setTraits(stretches, lengthKm, edgeKm, toKm, traitsOf(left), newId)
    : setTraits(stretches, lengthKm, toKm, edgeKm, traitsOf(right), newId)
}
