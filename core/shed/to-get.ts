import type { Thing } from '../bench'
import type { OwnedThing } from './schema'

/** Pieces that a kit takes and nobody of the crew is known to own. */
export interface ToGet {
  readonly thing: Thing
  readonly pieces: number
}

/**
 * What a kit takes that does not lie in the shed.
 *
 * @param carried how many of each thing of the bench come along
 */
export function toGet(
  bench: readonly Thing[],
  shed: readonly OwnedThing[],
  carried: Readonly<Record<string, number>>,
): ToGet[] {
  const owned = new Map(shed.map(({ id, count }) => [id, count]))
  return bench.flatMap((thing) => {
    const wanted = carried[thing.id] ?? 0
    const there = thing.shed === null ? 0 : (owned.get(thing.shed) ?? 0)
    // Two things of a bench may be the same one of the shed: what the first takes is not there for the second.
    if (thing.shed !== null) owned.set(thing.shed, Math.max(0, there - wanted))
    return wanted > there ? [{ thing, pieces: wanted - there }] : []
  })
}
