import { catalogue } from '#catalogue'
import {
  kitHistory,
  lessonsOf,
  nextKit,
  riddenTrip,
  type LearnedValue,
  type Lessons,
  type NextOfThing,
} from '#core/learn'
import type { Trip } from '#core/trip'

/** What trips that were ridden teach, and of how many km. */
export interface LookedBack {
  readonly trips: readonly { readonly name: string; readonly km: number }[]
  readonly lessons: Lessons
  /** How the kit evolved over them. */
  readonly history: ReturnType<typeof kitHistory>
}

/** The kit for a road by what was learned. */
export interface NextKit {
  readonly things: readonly NextOfThing[]
  readonly promiseBeforeH: number
  readonly promiseAfterH: number
}

/** Looks back on trips: it knows nothing of threads. */
export function createLookBack() {
  /** @param trips documents whose roads have their lines; those that were not set off on teach nothing */
  function lookBack(trips: readonly Trip[]): LookedBack {
    const ridden = trips.flatMap((trip) => riddenTrip(trip, catalogue) ?? [])
    return {
      trips: ridden.map(({ trip: { name }, riddenKm }) => ({ name, km: riddenKm })),
      lessons: lessonsOf(ridden, catalogue),
      history: kitHistory(ridden, catalogue),
    }
  }

  /** What the kit for the road of a trip would be with some of what was learned. */
  function kitBy(trip: Trip, values: readonly LearnedValue[]): NextKit | undefined {
    const ridden = riddenTrip(trip, catalogue)
    return ridden && nextKit(trip, ridden.survey, catalogue, values)
  }

  return { lookBack, kitBy }
}
export type LookBackService = ReturnType<typeof createLookBack>
