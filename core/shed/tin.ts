import type { Thing } from '../bench'
import type { OwnedThing } from './schema'

/** Pieces of a thing that stay packed in the tin from trip to trip. */
export const packedOf = ({ packed, count }: Pick<OwnedThing, 'packed' | 'count'>): number =>
  // A device may have kept it since before there were tins.
  Number.isFinite(packed) ? Math.min(packed, count) : 0

/** What a tin that stays packed weighs, g. */
export const tinG = (shed: readonly OwnedThing[]): number =>
  shed.reduce((sum, owned) => sum + owned.massG * packedOf(owned), 0)

/** So many pieces of something. */
export interface Pieces {
  readonly name: string
  readonly pieces: number
  /** Of all of them. */
  readonly massG: number
}

/** A tin that stays packed, beside the kit that a road asks for. */
export interface BesideTheTin {
  /** What the kit has and the tin has not. */
  readonly adds: readonly Pieces[]
  /** What lies in the tin and may stay at home. */
  readonly spares: readonly Pieces[]
  /** What lies in the tin and not on the bench, so that nobody has weighed it for this road. */
  readonly unweighed: readonly OwnedThing[]
}

/**
 * What a road adds to a tin that stays packed, and what of it it lets stay at home.
 *
 * @param carried how many of each thing of the bench come along
 */
export function besideTheTin(
  bench: readonly Thing[],
  shed: readonly OwnedThing[],
  carried: Readonly<Record<string, number>>,
): BesideTheTin {
  const left = new Map(shed.map((owned) => [owned.id, packedOf(owned)]))
  const adds = bench.flatMap(({ id, name, massG, shed: ownedId }): Pieces[] => {
    const wanted = carried[id] ?? 0
    const there = ownedId === null ? 0 : Math.min(wanted, left.get(ownedId) ?? 0)
    // Two things of a bench may be the same one of the shed: what the first takes is not there for the second.
    if (ownedId !== null) left.set(ownedId, (left.get(ownedId) ?? 0) - there)
    const pieces = wanted - there
    return pieces > 0 ? [{ name, pieces, massG: pieces * massG }] : []
  })
  const onBench = new Set(bench.map((thing) => thing.shed))
  const idle = shed.filter(({ id }) => (left.get(id) ?? 0) > 0)
  return {
    adds,
    spares: idle
      .filter(({ id }) => onBench.has(id))
      .map(({ id, name, massG }) => ({ name, pieces: left.get(id) ?? 0, massG: massG * (left.get(id) ?? 0) })),
    unweighed: idle.filter(({ id }) => !onBench.has(id)),
  }
}

/** Things of a shed that change when the tin is packed as a kit is: what of it is owned, and nothing else. */
export function packedAs(
  bench: readonly Thing[],
  shed: readonly OwnedThing[],
  carried: Readonly<Record<string, number>>,
): OwnedThing[] {
  return shed.flatMap((owned) => {
    const wanted = bench.reduce(
      (sum, { id, shed: ownedId }) => sum + (ownedId === owned.id ? (carried[id] ?? 0) : 0),
      0,
    )
    const packed = Math.min(owned.count, wanted)
    return packed === packedOf(owned) ? [] : [{ ...owned, packed }]
  })
}

/** A tin as it is packed, as a kit: how many of each thing of a bench, in their order. */
export function tinAsKit(bench: readonly Thing[], shed: readonly OwnedThing[]): number[] {
  const left = new Map(shed.map((owned) => [owned.id, packedOf(owned)]))
  return bench.map(({ shed: ownedId, count }) => {
    if (ownedId === null) return 0
    const pieces = Math.min(count, left.get(ownedId) ?? 0)
    left.set(ownedId, (left.get(ownedId) ?? 0) - pieces)
    return pieces
  })
}
