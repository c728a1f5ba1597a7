import type { Thing } from '../bench'
import type { Planning, Reference } from '../reference'
import { longestTripName, takenAlong, tripFormat, tripSchema, type Trip } from '../trip'
import { whatIsLeft } from '../trail'
import { cutTo } from '../validation'

/** What is otherwise with a thing since the last kit. */
export interface ThingSince {
  readonly name: string
  readonly before: number
  readonly after: number
}

/**
 * A trip to begin from one that was ridden: the same riders and bikes, with what is left of the kit on the bench; what was used
 * up, broke or was lost is to be got again, and what came along on the way stays. Its road is not ridden twice.
 *
 * @param planning values that are known better for all trips
 */
export function nextTrip(
  trip: Trip,
  { items }: Pick<Reference, 'items'>,
  planning: Planning,
  name: string,
): { readonly trip: Trip; readonly since: readonly ThingSince[] } {
  const { left, things } = whatIsLeft(trip, [], { items })
  const had = new Set(
    whatIsLeft({ ...trip, log: trip.log.filter(({ kind }) => kind === 'set off') }, [], { items }).left.map(
      ({ thing }) => thing,
    ),
  )
  const countOf = (thing: string) =>
    left.reduce((sum, pieces) => (pieces.thing === thing ? sum + pieces.count : sum), 0)
  const bench = things.flatMap((thing): Thing[] => {
    const there = countOf(thing.id)
    const isNew = !trip.bench.some(({ id }) => id === thing.id)
    // What was along and is not any more is wanted again; what stayed at home lies there as it did.
    const owned = had.has(thing.id) || isNew ? there : thing.owned
    const count = isNew ? there : thing.count
    if (count === 0) return []
    return [
      {
        ...thing,
        count: Math.max(count, there),
        owned,
        pin: null,
        boughtAt: null,
        carriedBy: {},
        packedIn: [],
        buying: { ...thing.buying, state: 'open', on: null },
        trial: { ...thing.trial, state: 'open', on: null },
      },
    ]
  })
  const since = things.flatMap((thing): ThingSince[] => {
    const before = trip.bench.find(({ id }) => id === thing.id)?.count ?? 0
    const after = had.has(thing.id) || before === 0 ? countOf(thing.id) : before
    return before === after ? [] : [{ name: thing.name, before, after }]
  })
  return {
    trip: tripSchema.parse({
      format: tripFormat,
      name: cutTo(name, longestTripName),
      ...takenAlong(trip, planning),
      bench,
    }),
    since,
  }
}
