import type { Ledger } from '../ledger'
import { withPlanning, type Reference } from '../reference'
import { sharedOpeningCache, type OpeningCache } from '../ride'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { bikesAtDeparture, withPreparation } from '../trip-ledger'
import { nth } from '../validation'
import { Plans } from '../ways'
import type { TaskAbout } from './about'
import { allSettled, settled, type PreparationChange } from './settle'
import type { ReadyTask } from './task-list'

/** What it costs on the road that something is left undone. */
export interface TaskWorth {
  readonly key: string
  /** Hours by which the promise of the kit is worse with it left undone than with it done, all else as it is. */
  readonly undoneH: number
}

/** What the kit promises: by the plan as it is, once all that is open is done, and where nothing more of it is. */
export interface ReadyPromise {
  readonly plannedH: number
  readonly allDoneH: number
  readonly asItStandsH: number
}

/** On no task of the other kinds does anything hang on the road. */
export const isForTheRoad = ({ kind }: TaskAbout) => kind !== 'papers' && kind !== 'own'

/** A plan and its kit, for which tasks are weighed. */
class KitOfPlan {
  readonly plans: Plans

  constructor(
    trip: Trip,
    survey: Survey,
    reference: Reference,
    private readonly counts: ArrayLike<number>,
    book: OpeningCache,
  ) {
    this.plans = new Plans(trip, survey, reference, book)
  }

  /** What the kit promises by a ledger: as far as it is there by that. */
  promiseOf(ledger: Ledger): number {
    const there = ledger.items.map(({ max }, i) => Math.min(max, nth(this.counts, i)))
    return this.plans.promiseOf(ledger, there)
  }
}

/**
 * What a kit promises, by what becomes of all that is still open before the ride.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param counts how many of each thing on the bench are carried, in their order
 */
export function readyPromise(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: ArrayLike<number>,
  tasks: readonly Pick<ReadyTask, 'about' | 'state'>[],
  book: OpeningCache = sharedOpeningCache,
): ReadyPromise {
  const kit = new KitOfPlan(trip, survey, reference, counts, book)
  const open = tasks.filter(({ state }) => state === 'open').map(({ about }) => about)
  const promiseAllAs = (state: 'done' | 'left') =>
    kit.promiseOf(kit.plans.ledgerWith(changedParts(trip, allSettled(trip, open, { state }))))
  return {
    plannedH: kit.promiseOf(kit.plans.laid.ledger),
    allDoneH: promiseAllAs('done'),
    asItStandsH: promiseAllAs('left'),
  }
}

/**
 * What it costs to leave each task undone, with a kit as it is, told task by task.
 *
 * @param survey the measured road of the trip; it must have a length
 * @param counts how many of each thing on the bench are carried, in their order
 */
export function* taskWorths(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  counts: ArrayLike<number>,
  tasks: readonly Pick<ReadyTask, 'key' | 'about' | 'state'>[],
  book: OpeningCache = sharedOpeningCache,
): Generator<TaskWorth> {
  const kit = new KitOfPlan(trip, survey, reference, counts, book)
  const { plans } = kit
  const plannedH = kit.promiseOf(plans.laid.ledger)
  const inForce = withPlanning(reference, trip.dials.planning)
  const before = { bikes: bikesAtDeparture(trip, inForce), bench: trip.bench }
  /** What is looked over and tried changes rates and trust alone: all else of the ledger stays as it was written. */
  const ledgerWith = ({ kind }: TaskAbout, change: PreparationChange) => {
    if (kind !== 'check' && kind !== 'try') return plans.ledgerWith(change)
    const { bikes, bench } = { ...trip, ...change }
    const after = { bikes: bikesAtDeparture({ bikes, ride: trip.ride }, inForce), bench }
    return withPreparation(plans.laid, before, after, inForce)
  }
  for (const { key, about, state } of tasks) {
    if (!isForTheRoad(about)) continue
    const now = state === 'open' && countsAsDone(trip, about) ? 'done' : state
    const promiseAs = (as: 'done' | 'left') =>
      as === now ? plannedH : kit.promiseOf(ledgerWith(about, settled(trip, about, { state: as })))
    yield { key, undoneH: promiseAs('left') - promiseAs('done') }
  }
}

/** Whether the ledger takes something for done as long as it is open: what is looked over, posted, or tried and as new anyway. */
function countsAsDone({ bench }: Trip, about: TaskAbout): boolean {
  if (about.kind === 'try') return bench.some(({ id, condition }) => id === about.thingId && condition === 1)
  return about.kind === 'check' || about.kind === 'parcel'
}

/** The parts in which two plans differ. */
const changedParts = (before: Trip, after: Trip) =>
  Object.fromEntries(
    (['bikes', 'crew', 'stops', 'bench'] as const)
      .filter((part) => before[part] !== after[part])
      .map((part) => [part, after[part]]),
  )
