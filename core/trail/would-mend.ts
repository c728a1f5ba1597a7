import { thingFrom } from '../bench'
import type { Reference } from '../reference'
import { cutTo } from '../validation'
import { atThePlace } from './elsewhere'
import type { RideOnTheWay } from './onward'
import { triage, type Failing, type Triage, type WayAtHand } from './triage'

/** A way to mend for which something is lacking. */
export interface WouldMend {
  readonly way: WayAtHand
  /** What is lacking, by its kind in the catalogue. */
  readonly lacks: readonly string[]
  /** Hours that it would spare against the best that can be done now. */
  readonly sparesH: number
}

/** So many ways are told of. */
const mostWays = 3
/** What would spare less than this is not told, h. */
const leastSparesH = 0.05

/** An id for what is only thought to be there. */
const thoughtId = (item: string) => cutTo(`lacking ${item}`, 60)

/**
 * What would mend a failure if one had it: of all that the catalogue knows, the ways that spare most against what can be done
 * with what is there. What to borrow, to buy or to ask a passer-by for.
 *
 * @param now what can be done now
 */
export function whatWouldMend(
  ride: RideOnTheWay,
  reference: Reference,
  failing: Failing,
  present: readonly string[],
  now: Triage,
): WouldMend[] {
  const kinds = new Map(reference.items.map(({ id }) => [thoughtId(id), id]))
  const thought = reference.items.map((item) => thingFrom(item, thoughtId(item.id)))
  const full = triage(atThePlace(ride, reference, present, thought), failing)
  const bestNow = Math.max(0, ...now.ways.map(({ worthH }) => worthH))
  const told = new Set<string>()
  return full.ways
    .flatMap((way): WouldMend[] => {
      const lacks = way.takes.flatMap(({ thing }) => kinds.get(thing) ?? [])
      const sparesH = way.worthH - bestNow
      return lacks.length > 0 && sparesH > leastSparesH ? [{ way, lacks, sparesH }] : []
    })
    .sort((a, b) => b.sparesH - a.sparesH)
    .filter(({ lacks }) => {
      const key = [...lacks].sort().join()
      const isNew = !told.has(key)
      told.add(key)
      return isNew
    })
    .slice(0, mostWays)
}
