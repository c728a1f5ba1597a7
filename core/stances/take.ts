import { withJob, withoutJob } from '../jobs'
import type { Reference } from '../reference'
import type { StanceChange, TakenStance, Trip } from '../trip'
import { nth } from '../validation'
import type { Stance } from './schools'

/** What of a plan a stance makes other. */
type Held = Pick<Trip, 'dials' | 'bikes' | 'bench'>

/** What a plan becomes for somebody who takes up a stance; the plan itself, where that is taken already. */
export function takeStance(trip: Trip, stance: Stance, reference: Reference): Held {
  if (trip.dials.stances.some(({ id }) => id === stance.id)) return held(trip)
  const changes = stance.changes(trip, reference)
  return withTaken(changes.reduce(made, held(trip)), [...trip.dials.stances, { id: stance.id, changes }])
}

/**
 * What a plan becomes for somebody who gives a stance up: all is as it was before, but for what another stance that was taken
 * later holds, and for what somebody has changed by hand since.
 */
export function leaveStance(trip: Held, stanceId: string): Held {
  const { stances } = trip.dials
  const at = stances.findIndex(({ id }) => id === stanceId)
  if (at < 0) return held(trip)
  const later = stances.slice(at + 1)
  let plan = held(trip)
  const handedOn = new Map<string, StanceChange>()
  for (const change of nth(stances, at).changes) {
    const target = targetOf(change)
    if (later.some(({ changes }) => changes.some((each) => targetOf(each) === target))) handedOn.set(target, change)
    else plan = undone(plan, change)
  }
  return withTaken(plan, [...stances.slice(0, at), ...handOn(later, handedOn)])
}

/** The first later stance that made the same other was taken when it was as before, from now on. */
function handOn(later: readonly TakenStance[], handedOn: Map<string, StanceChange>): TakenStance[] {
  return later.map(({ id, changes }) => ({
    id,
    changes: changes.map((change) => {
      const earlier = handedOn.get(targetOf(change))
      if (!earlier) return change
      handedOn.delete(targetOf(change))
      return { ...change, ...('before' in earlier && { before: earlier.before }) } as StanceChange
    }),
  }))
}

const held = ({ dials, bikes, bench }: Held): Held => ({ dials, bikes, bench })
const withTaken = ({ dials, ...rest }: Held, stances: TakenStance[]): Held => ({
  ...rest,
  dials: { ...dials, stances },
})

/** What a change is about. */
function targetOf(change: StanceChange): string {
  switch (change.kind) {
    case 'dial':
      return `dial ${change.name}`
    case 'planning':
      return `planning ${change.key}`
    case 'job':
      return `job ${change.bikeId} ${change.jobId}`
    case 'pin':
      return `pin ${change.thingId}`
  }
}

function made(plan: Held, change: StanceChange): Held {
  switch (change.kind) {
    case 'dial':
      return { ...plan, dials: { ...plan.dials, [change.name]: change.after } }
    case 'planning':
      return withPlanned(plan, change.key, change.after)
    case 'job':
      return withBike(plan, change.bikeId, (bike) => withJob(bike, change.jobId))
    case 'pin':
      return withPin(plan, change.thingId, change.after)
  }
}

/** A change taken back, where what it made still stands. */
function undone(plan: Held, change: StanceChange): Held {
  switch (change.kind) {
    case 'dial':
      return plan.dials[change.name] === change.after
        ? { ...plan, dials: { ...plan.dials, [change.name]: change.before } }
        : plan
    case 'planning':
      return plan.dials.planning[change.key] === change.after ? withPlanned(plan, change.key, change.before) : plan
    case 'job':
      return withBike(plan, change.bikeId, (bike) => withoutJob(bike, change.jobId))
    case 'pin': {
      const thing = plan.bench.find(({ id }) => id === change.thingId)
      const stands = thing?.pin?.min === change.after?.min && thing?.pin?.max === change.after?.max
      return stands ? withPin(plan, change.thingId, change.before) : plan
    }
  }
}

function withPlanned(plan: Held, key: string, value: number | null): Held {
  const { [key]: before, ...others } = plan.dials.planning
  // A value that was there keeps its place.
  const planning =
    value === null
      ? others
      : before === undefined
        ? { ...others, [key]: value }
        : { ...plan.dials.planning, [key]: value }
  return { ...plan, dials: { ...plan.dials, planning } }
}

const withBike = (
  plan: Held,
  bikeId: string,
  change: (bike: Trip['bikes'][number]) => Trip['bikes'][number],
): Held => ({
  ...plan,
  bikes: plan.bikes.map((bike) => (bike.id === bikeId ? change(bike) : bike)),
})

const withPin = (plan: Held, thingId: string, pin: Trip['bench'][number]['pin']): Held => ({
  ...plan,
  bench: plan.bench.map((thing) => (thing.id === thingId ? { ...thing, pin } : thing)),
})
