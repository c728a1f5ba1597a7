import type { Reference } from '../reference'
import { whatIsLeft } from '../trail'
import { firstDayOf, type RiddenTrip } from './ridden'
import { kitInUse } from './things'

/** The kit of one trip. */
export interface KitOfTrip {
  readonly name: string
  /** The day on which it was set off, such as 2026-06-12. */
  readonly day: string
  readonly massG: number
  readonly pieces: number
  /** Things of which something was used. */
  readonly used: number
  readonly things: number
}

/** A thing over several trips, whatever it was called on each: by its kind, and by its name where it has none. */
export interface ThingOverTrips {
  readonly kind: string
  readonly name: string
  /** For each trip whether it was along, and how often it was used. */
  readonly along: readonly boolean[]
  readonly times: number
  /** What it costs new, in the money of the catalogue, for each time it was used; null where it never was, or nobody knows. */
  readonly costByUse: number | null
  /** It was left at home after it had been along, and then got on the way. */
  readonly isAskedForAgain: boolean
}

/** How a kit evolved: trips in the order of their days, and the things of all of them, those used most first. */
export function kitHistory(
  ridden: readonly RiddenTrip[],
  reference: Pick<Reference, 'items'>,
): { readonly trips: readonly KitOfTrip[]; readonly things: readonly ThingOverTrips[] } {
  const inOrder = [...ridden].sort(
    (a, b) => firstDayOf(a).localeCompare(firstDayOf(b)) || a.trip.name.localeCompare(b.trip.name),
  )
  const things = new Map<
    string,
    { name: string; from: string | null; along: boolean[]; times: number; got: boolean[] }
  >()
  const entryFor = (key: string, name: string, from: string | null) => {
    const known = things.get(key)
    if (known) return known
    const none = () => Array.from(inOrder, () => false)
    const fresh = { name, from, along: none(), times: 0, got: none() }
    things.set(key, fresh)
    return fresh
  }
  const trips = inOrder.map((each, at): KitOfTrip => {
    const { trip } = each
    const setOff = trip.log.filter(({ kind }) => kind === 'set off')
    const { left } = whatIsLeft({ bench: trip.bench, log: setOff }, [], reference)
    const { used } = kitInUse(each, reference)
    let [massG, pieces] = [0, 0]
    const along = new Set(left.map(({ thing }) => thing))
    for (const { id, name, from, massG: eachG } of trip.bench) {
      if (!along.has(id)) continue
      const count = left.reduce((sum, carried) => (carried.thing === id ? sum + carried.count : sum), 0)
      massG += count * eachG
      pieces += count
      const known = entryFor(from ?? name, name, from)
      known.along[at] = true
      known.times += used.find(({ thing }) => thing === id)?.times ?? 0
    }
    for (const entry of trip.log) {
      if (entry.kind !== 'got') continue
      const thing = trip.bench.find(({ id }) => id === entry.thing)
      const from = thing?.from ?? entry.item
      entryFor(from ?? entry.name, thing?.name ?? entry.name, from).got[at] = true
    }
    return {
      name: trip.name,
      day: firstDayOf(each).slice(0, 10),
      massG,
      pieces,
      used: used.length,
      things: along.size,
    }
  })
  return {
    trips,
    things: [...things]
      .map(([kind, { name, from, along, times, got }]): ThingOverTrips => {
        const price = reference.items.find(({ id }) => id === from)?.price
        return {
          kind,
          name,
          along,
          times,
          costByUse: times > 0 && price !== undefined ? price / times : null,
          isAskedForAgain: got.some((isGot, at) => isGot && !along[at] && along.slice(0, at).includes(true)),
        }
      })
      .sort((a, b) => b.times - a.times || a.name.localeCompare(b.name)),
  }
}
