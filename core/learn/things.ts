import type { LogEntry } from '../log'
import type { Reference } from '../reference'
import { idOfGot, whatIsLeft } from '../trail'
import type { RiddenTrip } from './ridden'

/** What became of a thing of the kit. */
export interface ThingUsed {
  readonly thing: string
  readonly name: string
  readonly massG: number
  /** How many were along, and how often one was taken out or something of it used up. */
  readonly along: number
  readonly times: number
  /** Failures that it helped with. */
  readonly hazards: readonly string[]
}

type Ending = Extract<LogEntry, { kind: 'failed' }>['ending']

/** What a kit was lacking. */
export type Missed =
  /** Something failed, and nothing that was along mended it. */
  | { readonly kind: 'not mended'; readonly hazard: string; readonly ending: Ending }
  /** Something was got on the way that nobody had along. */
  | { readonly kind: 'got'; readonly name: string; readonly how: string }

/** What a trip says of its kit. */
export interface KitInUse {
  readonly used: readonly ThingUsed[]
  readonly neverTouched: readonly ThingUsed[]
  readonly missed: readonly Missed[]
}

/** What was used of a kit, what was missed, and what was never touched. */
export function kitInUse({ trip }: Pick<RiddenTrip, 'trip'>, { items }: Pick<Reference, 'items'>): KitInUse {
  const { bench, log } = trip
  const setOff = log.filter(({ kind }) => kind === 'set off')
  const { things, left } = whatIsLeft({ bench, log: setOff }, [], { items })
  const along = things.flatMap((thing) => {
    const count = left.reduce((sum, pieces) => (pieces.thing === thing.id ? sum + pieces.count : sum), 0)
    return count > 0 ? [{ thing, count }] : []
  })
  const told = along.map(({ thing: { id, name, massG }, count }): ThingUsed => {
    const uses = log.flatMap((entry) => usesIn(entry, id))
    return { thing: id, name, massG, along: count, times: uses.length, hazards: [...new Set(uses.flat())] }
  })
  const had = new Set(along.map(({ thing }) => thing.id))
  const missed = log.flatMap((entry): Missed[] => {
    if (entry.kind === 'failed' && entry.bikeId !== null && entry.ending !== 'mended' && entry.ending !== 'open')
      return [{ kind: 'not mended', hazard: entry.hazard, ending: entry.ending }]
    if (entry.kind === 'got' && !had.has(entry.thing ?? idOfGot(entry)))
      return [{ kind: 'got', name: entry.name, how: entry.how }]
    return []
  })
  return {
    used: told.filter(({ times }) => times > 0).sort((a, b) => b.times - a.times),
    neverTouched: told.filter(({ times }) => times === 0).sort((a, b) => b.massG * b.along - a.massG * a.along),
    missed,
  }
}

/** Each time that an entry used a thing, with what it was used for. */
export function usesIn(entry: LogEntry, thing: string): string[][] {
  const isSpent = (spent: readonly { readonly thing: string }[]) => spent.some((each) => each.thing === thing)
  if (entry.kind === 'failed')
    return entry.tries.flatMap(({ took, spent }) => (took.includes(thing) || isSpent(spent) ? [[entry.hazard]] : []))
  return entry.kind === 'gone' && entry.why !== 'lost' && isSpent(entry.spent) ? [[]] : []
}
