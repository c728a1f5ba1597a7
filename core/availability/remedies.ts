import type { Reference } from '../reference'
import {
  sharedOpeningCache,
  minutesPerDay,
  parseWallClock,
  setNights,
  formatWallClock,
  type OpeningCache,
} from '../ride'
import type { Gap, Survey } from '../road'
import { readClass, type Service } from '../supply'
import { cutTo, nth } from '../validation'
import { Resupply, type Supplied } from './resupply'
import { mostWaitAt } from './waits'

/** Something one could do about a long gap. */
export type PlanChange =
  | { readonly kind: 'leave'; readonly days: number }
  | { readonly kind: 'wait'; readonly stop: string; readonly hours: number }
  | { readonly kind: 'sleep'; readonly stop: string }
  | { readonly kind: 'post'; readonly stop: string; readonly service: string }
  | { readonly kind: 'ask'; readonly stop: string; readonly service: string }

/** What shortens the longest gap of a class, a change or two together, and what the gap is then. */
export interface Remedy {
  readonly changes: readonly PlanChange[]
  /** The longest gap that is left where the longest one was. */
  readonly hereKm: number
  /** The longest gap anywhere on the road; at most what it was. */
  readonly longestKm: number
}

/** Nobody leaves more days sooner or later than this for a shop. */
const mostDays = 3
/** Nobody waits longer than this where he stands; he sleeps there. */
const longestWaitH = 12
/** Shortening by less is no remedy. */
const worthKm = 1
const mostRemedies = 6

/**
 * What would shorten the longest gap of a class: each change is made on a
 * copy of the plan, and the gaps are found anew.
 *
 * @returns the best first; none where nothing helps
 */
export function remediesFor(
  trip: Supplied,
  survey: Survey,
  reference: Reference,
  classId: string,
  book: OpeningCache = sharedOpeningCache,
): Remedy[] {
  const now = new Resupply(trip, survey, reference, book)
  const gap = longestOf(now.gaps(classId))
  const remedies = candidates(trip, now, reference, classId, gap).map((changes): Remedy => {
    const gaps = new Resupply(withChanges(trip, changes, classId), survey, reference, book).gaps(classId)
    const here = gaps.filter(({ fromKm, toKm }) => fromKm < gap.toKm && toKm > gap.fromKm)
    return { changes, hereKm: longestOf(here).km, longestKm: longestOf(gaps).km }
  })
  const shorter = remedies.filter(({ hereKm, longestKm }) => hereKm <= gap.km - worthKm && longestKm <= gap.km)
  const worthwhile = bestOfEach(shorter)
  return worthwhile.filter((remedy) => !halfDoesAsMuch(remedy, worthwhile)).slice(0, mostRemedies)
}

/** Whether one of two changes alone does as much as both. */
function halfDoesAsMuch(remedy: Remedy, others: readonly Remedy[]): boolean {
  if (remedy.changes.length < 2) return false
  const same = (a: PlanChange, b: PlanChange) => JSON.stringify(a) === JSON.stringify(b)
  return others.some(
    ({ changes, hereKm }) =>
      changes.length === 1 &&
      remedy.changes.some((change) => same(change, nth(changes, 0))) &&
      hereKm < remedy.hereKm + worthKm,
  )
}

/** Of leaving sooner, leaving later and each place's remedies, the gentlest that does as much as any of its kind. */
function bestOfEach(remedies: Remedy[]): Remedy[] {
  const nameOf = (change: PlanChange) =>
    change.kind === 'leave' ? `leave ${Math.sign(change.days)}` : `${change.kind} ${change.stop}`
  const groupOf = ({ changes }: Remedy) => changes.map(nameOf).join(', ')
  const best = new Map<string, Remedy>()
  for (const remedy of remedies) {
    const known = best.get(groupOf(remedy))
    if (!known || remedy.hereKm < known.hereKm) best.set(groupOf(remedy), remedy)
  }
  return [...best.values()].sort((a, b) => a.hereKm - b.hereKm)
}

const longestOf = (gaps: readonly Gap[]) => gaps.reduce((a, b) => (b.km > a.km ? b : a))

function candidates(trip: Supplied, now: Resupply, reference: Reference, classId: string, gap: Gap): PlanChange[][] {
  const changes: PlanChange[][] = []
  const leave: PlanChange[] = []
  if (trip.ride.start !== null) {
    // The smaller shift first: of two that do the same it is the one that is offered.
    for (let days = 1; days <= mostDays; days++) leave.push({ kind: 'leave', days: -days }, { kind: 'leave', days })
  }
  changes.push(...leave.map((change) => [change]))
  const found = now.found(classId)
  const keepsParcels = (kind: string) => reference.services.find(({ id }) => id === kind)?.takesParcels ?? false
  for (const [i, stop] of trip.stops.entries()) {
    if (stop.roadKm <= gap.fromKm || stop.roadKm >= gap.toKm) continue
    const { finding, service, visit } = nth(found, i)
    if (finding === 'shut' && visit) {
      if (visit.waitH !== null && visit.waitH <= longestWaitH) {
        changes.push([{ kind: 'wait', stop: stop.id, hours: Math.ceil(visit.waitH * 4) / 4 }])
      }
      changes.push([{ kind: 'sleep', stop: stop.id }])
    }
    if (finding === 'doubtful' && service) changes.push([{ kind: 'ask', stop: stop.id, service: service.kind }])
    const counter = stop.services.find(({ kind }) => keepsParcels(kind))
    if (counter && readClass(classId, reference.families)?.family.goesByPost) {
      const post: PlanChange = { kind: 'post', stop: stop.id, service: counter.kind }
      changes.push([post])
      // A parcel lies safe behind a counter that is shut: it wants another day as well.
      if (now.visitTo(counter)?.found === 'shut') {
        changes.push([post, { kind: 'sleep', stop: stop.id }], ...leave.map((change) => [post, change]))
      }
    }
  }
  return changes
}

/** A plan after some changes. */
export function withChanges<T extends Supplied>(trip: T, changes: readonly PlanChange[], classId: string): T {
  return changes.reduce<T>((plan, change) => ({ ...plan, ...withChange(plan, change, classId) }), trip)
}

/** The parts of a plan that a change alters, as they are then. */
function withChange(trip: Supplied, change: PlanChange, classId: string): Partial<Supplied> {
  const { ride, stops, dials } = trip
  const atStop = (stop: string, kind: string, service: (old: Service) => Service) => ({
    stops: stops.map((other) =>
      other.id === stop
        ? { ...other, services: other.services.map((old) => (old.kind === kind ? service(old) : old)) }
        : other,
    ),
  })
  switch (change.kind) {
    case 'leave': {
      if (ride.start === null) return {}
      const start = formatWallClock(parseWallClock(ride.start) + change.days * minutesPerDay)
      return { ride: { ...ride, start } }
    }
    case 'wait':
      return {
        stops: stops.map((stop) =>
          stop.id === change.stop ? { ...stop, waitH: Math.max(mostWaitAt(stop, dials), change.hours) } : stop,
        ),
      }
    case 'sleep': {
      const stop = stops.find((other) => other.id === change.stop)
      if (!stop) return {}
      const bed = { roadKm: stop.roadKm, stop: stop.id }
      return { ride: { ...ride, nights: setNights(ride.nights, bed, 1, cutTo(`night-${stop.id}`, 60)) } }
    }
    case 'post':
      return atStop(change.stop, change.service, (old) => ({ ...old, parcel: { ...old.parcel, [classId]: 1 } }))
    case 'ask':
      return atStop(change.stop, change.service, (old) => ({
        ...old,
        knownFrom: 'asked',
        stocks: { ...old.stocks, [classId]: 1 },
      }))
  }
}
