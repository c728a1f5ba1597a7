import { readClass } from '../supply'
import { jobsFor } from '../jobs'
import type { Reference } from '../reference'
import type { StanceChange, Trip } from '../trip'

/** A school of thought: what it believes, and what that makes other in a plan. */
export interface Stance {
  readonly id: string
  readonly name: string
  /** What it holds, as one who belongs to it would say. */
  readonly belief: string
  /** What it makes other, with how it is now; what is so already is no change. */
  readonly changes: (trip: Trip, reference: Reference) => StanceChange[]
}

type DialName = Extract<StanceChange, { kind: 'dial' }>['name']

const dial = ({ dials }: Trip, name: DialName, after: number | null): StanceChange[] =>
  dials[name] === after ? [] : [{ kind: 'dial', name, before: dials[name], after }]

/** A planning value that stands where the reference says, seen by a school. */
const planned = ({ dials }: Trip, key: string, usual: number, see: (value: number) => number): StanceChange[] => {
  const before = dials.planning[key] ?? null
  const after = see(before ?? usual)
  return after === (before ?? usual) ? [] : [{ kind: 'planning', key, before, after }]
}

/** So many times as much, or as little, is given for an hour by those who differ about grams. Planning value. */
const gramsTimes = 4
const priceTimes = (trip: Trip, times: number): StanceChange[] =>
  trip.dials.gramsPerHour === null ? [] : dial(trip, 'gramsPerHour', Math.min(100_000, trip.dials.gramsPerHour * times))

/** Families of parts that wear out, of which fresh ones need no spares. */
const wearing: ReadonlySet<string> = new Set(['brake-pads', 'chain', 'shift-cable', 'brake-cable', 'tyre'])

/** Things that are nothing but spares of what wears out. */
const spares = ({ bench }: Trip, { families }: Reference): Trip['bench'] =>
  bench.filter(({ units, provides, heads }) => {
    const classes = Object.keys(units)
    const isSpare = (id: string) => wearing.has(readClass(id, families)?.family.id ?? '')
    return classes.length > 0 && provides.length === 0 && heads.length === 0 && classes.every(isSpare)
  })

/** Schools that experienced riders belong to. Common practice, no source; the numbers are planning values. */
export const stances: readonly Stance[] = [
  {
    id: 'no-help',
    name: 'No outside help',
    belief: 'Nobody stops and nobody comes: what I cannot mend I walk out with.',
    changes: (trip) => [...dial(trip, 'helper', 0), ...dial(trip, 'liftWaitH', null)],
  },
  {
    id: 'lift',
    name: 'A lift is two hours away',
    belief: 'I can call somebody, who is there in two hours.',
    changes: (trip) => dial(trip, 'liftWaitH', 2),
  },
  {
    id: 'fresh',
    name: 'Fresh parts, nothing spare',
    belief: 'Whatever wears is new when I leave; then I need no spares of it.',
    changes: (trip, reference) => [
      ...trip.bikes.flatMap((bike) =>
        jobsFor(bike, reference.jobs)
          .filter(({ id }) => !bike.jobs.some(({ job }) => job === id))
          .map(({ id }): StanceChange => ({ kind: 'job', bikeId: bike.id, jobId: id })),
      ),
      ...spares(trip, reference)
        .filter(({ pin }) => pin === null)
        .map(({ id }): StanceChange => ({ kind: 'pin', thingId: id, before: null, after: { min: 0, max: 0 } })),
    ],
  },
  {
    id: 'belt-and-braces',
    name: 'Belt and braces',
    belief: 'Shops are shut, tools break, and grams are cheaper than hours.',
    changes: (trip, { works }) => [
      ...priceTimes(trip, gramsTimes),
      ...dial(trip, 'trust', Math.max(0.8, trip.dials.trust)),
      ...Object.entries(works).flatMap(([tool, chance]) =>
        planned(trip, `works.${tool}`, chance, (value) => Math.max(0.01, 1 - 2 * (1 - value))),
      ),
    ],
  },
  {
    id: 'light',
    name: 'Light, and walks',
    belief: 'I carry every gram every day, and walk once in years.',
    changes: (trip) => priceTimes(trip, 1 / gramsTimes),
  },
  {
    id: 'for-good',
    name: 'Mends for good, not for a day',
    belief: 'A makeshift is a second breakdown: half of them do not hold for me.',
    changes: (trip, { fixes }) =>
      fixes
        .filter(({ grade }) => grade !== 'lasting')
        .flatMap(({ id, holds }) => planned(trip, `fixes.${id}.holds`, holds, (value) => value / 2)),
  },
]
