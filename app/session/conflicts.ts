import type { PartName, Trip } from '#core/trip'
import equal from 'fast-deep-equal'
import { applied, changesBetween, isOrder, liesIn, valueAt, type Change, type Path } from './changes'

/** Something that was changed here and elsewhere, and differently. */
export interface Conflict {
  /** Names it among the others. */
  readonly key: string
  /** Where it lies; more than one place where these hang together. */
  readonly paths: readonly Path[]
  readonly here: readonly unknown[]
  readonly there: readonly unknown[]
}

export type Side = 'here' | 'there'
/** Which side is taken of each conflict, by its key. */
export type Choices = Readonly<Record<string, Side>>

const partOf = (path: Path) => path[0] as PartName
/** Places along the road mean nothing on another line. */
const alongTheLine: readonly Path[] = [['road'], ['stops'], ['ride', 'nights']]
const isNewLine = ({ path }: Change) => partOf(path) === 'road' && (path.length === 1 || path[1] === 'points')
const isAlong = ({ path }: Change) => alongTheLine.some((place) => liesIn(path, place) || liesIn(place, path))

function conflictAt(paths: readonly Path[], here: Trip, there: Trip): Conflict {
  const all = (document: Trip) => paths.map((path) => valueAt(document, path))
  return { key: JSON.stringify(paths), paths, here: all(here), there: all(there) }
}

/** Everything in which some parts of two documents differ, where nobody knows any more which of them is the later one. */
export function differencesIn(parts: readonly PartName[], here: Trip, there: Trip): Conflict[] {
  return parts
    .flatMap((part) => changesBetween(here[part], there[part], [part]))
    .filter((change) => !isOrder(change))
    .map(({ path }) => conflictAt([path], here, there))
}

/** What was changed on both sides of a document they have in common, where the two do not come to the same. */
export function conflictsBetween(before: Trip, here: Trip, there: Trip): Conflict[] {
  const mine = changesBetween(before, here)
  const theirs = changesBetween(before, there)
  const lines = mine.some(isNewLine) && theirs.some(isNewLine) && equal(here.road.points, there.road.points)
  const apart =
    !lines && ((mine.some(isNewLine) && theirs.some(isAlong)) || (theirs.some(isNewLine) && mine.some(isAlong)))
  const places = apart ? [...alongTheLine] : []
  const conflicts = apart ? [conflictAt(alongTheLine, here, there)] : []
  for (const change of mine) {
    if (isOrder(change)) continue
    for (const other of theirs) {
      if (isOrder(other)) continue
      const place = liesIn(change.path, other.path)
        ? other.path
        : liesIn(other.path, change.path)
          ? change.path
          : undefined
      if (!place || places.some((known) => liesIn(place, known))) continue
      if (equal(valueAt(here, place), valueAt(there, place))) continue
      places.push(place)
      conflicts.push(conflictAt([place], here, there))
    }
  }
  // A place may have been found before the larger one that holds it.
  return conflicts.filter(({ paths }) => {
    const [place] = paths
    return paths.length > 1 || !places.some((other) => other !== place && place && liesIn(place, other))
  })
}

/** A document in which each conflict has been settled one way or the other. */
export function settled(document: Trip, conflicts: readonly Conflict[], choices: Choices): Trip {
  const changes = conflicts.flatMap((conflict) => {
    const side = choices[conflict.key]
    return side ? conflict.paths.map((path, i): Change => ({ path, before: undefined, after: conflict[side][i] })) : []
  })
  return applied(document, changes)
}
