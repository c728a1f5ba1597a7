import type { Head, Thing } from '../bench'
import type { FastenerView } from './fit-view'
import { compareTurnResults, isTurned } from './turn-result'

/**
 * Things on the bench that do all that another one does: doubles, or a better tool. Each turns every fastener of these bikes
 * that the other turns, and no worse: an end of the same size with too short a lever does not. Of ends that hold a nut, lend
 * a lever, or turn nothing here, it has the same.
 *
 * @param fasteners how the things of the bench turn what these bikes have; of ends that turn none of them the size decides
 */
export function doublesOf(
  thing: Thing,
  bench: readonly Thing[],
  fasteners: readonly Pick<FastenerView, 'ways'>[],
): Thing[] {
  if (thing.provides.length + thing.heads.length === 0) return []
  const waysOf = (id: string) => fasteners.map(({ ways }) => ways[id])
  const mine = waysOf(thing.id)
  const turning = new Set(mine.flatMap((way) => (way && isTurned(way) ? [keyOf(way.head)] : [])))
  const beside = fasteners
    .flatMap(({ ways }) => Object.values(ways))
    .flatMap(({ second }) => (second?.thing === thing.id ? [keyOf(second.head)] : []))
  const same = [...thing.heads.map(keyOf).filter((end) => !turning.has(end)), ...beside]
  return bench.filter((other) => {
    if (other.id === thing.id) return false
    const ends = new Set(other.heads.map(keyOf))
    const theirs = waysOf(other.id)
    return (
      thing.provides.every((name) => other.provides.includes(name)) &&
      same.every((end) => ends.has(end)) &&
      mine.every((way, i) => !way || !isTurned(way) || turnsNoWorse(theirs[i], way))
    )
  })
}

type Way = FastenerView['ways'][string]

/** Of two that turn it well, the one may be longer. */
function turnsNoWorse(way: Way | undefined, than: Way): boolean {
  return way !== undefined && compareTurnResults({ ...way, handN: 0 }, { ...than, handN: 0 }) <= 0
}

const keyOf = (head: Head) => ('size' in head ? `${head.profile} ${head.size}` : head.profile)
