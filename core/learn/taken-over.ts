import { bestKit } from '../search'
import { indexLedger } from '../ledger'
import { planningValueWithin, type Planning, type Reference } from '../reference'
import type { Survey } from '../road'
import type { Trip } from '../trip'
import { ledgerOfTrip } from '../trip-ledger'
import { nth } from '../validation'
import type { LearnedFix } from './hands'
import type { LearnedLife } from './lives'
import type { LearnedRate } from './rates'

/** A planning value as it would be by what was learned, to be taken over by choice. */
export interface LearnedValue {
  readonly key: string
  readonly before: number
  readonly after: number
}

/** What was learned, as planning values. Of hands there is none: they are riders’ own, and said of them. */
export function learnedValues(
  rates: readonly LearnedRate[],
  lives: readonly LearnedLife[],
  fixes: readonly LearnedFix[],
): LearnedValue[] {
  return [
    ...rates.map(({ hazard, before, after }) => ({
      key: `hazards.${hazard}.per1000km`,
      before: before.mean,
      after: after.mean,
    })),
    ...lives.map(({ hazard, before, after }) => ({
      key: `hazards.${hazard}.lifeKm`,
      before: before.mean,
      after: after.mean,
    })),
    ...fixes.flatMap(({ fix, done, before, after, timed, minutesBefore, minutesAfter }) => [
      ...(done > 0 ? [{ key: `fixes.${fix}.holds`, before: before.mean, after: after.mean }] : []),
      ...(timed > 0 ? [{ key: `fixes.${fix}.minutes`, before: minutesBefore, after: minutesAfter }] : []),
    ]),
  ].filter(({ before, after }) => Math.abs(after - before) > 1e-9)
}

/** Planning values with some of those that were learned. */
export const withLearned = (planning: Planning, values: readonly LearnedValue[]): Planning => ({
  ...planning,
  ...Object.fromEntries(values.map(({ key, after }) => [key, planningValueWithin(key, after)])),
})

/** How a thing of the kit would fare in the next ledger. */
export interface NextOfThing {
  readonly thing: string
  /** How many the best kit takes: as the plan stands, and by what was learned. */
  readonly before: number
  readonly after: number
}

/** The kit for the same road by what was learned: things of which another number would be taken. */
export function nextKit(
  trip: Trip,
  survey: Survey,
  reference: Reference,
  values: readonly LearnedValue[],
): { readonly things: readonly NextOfThing[]; readonly promiseBeforeH: number; readonly promiseAfterH: number } {
  const kitFor = (planning: Planning) => {
    const plan = { ...trip, dials: { ...trip.dials, planning } }
    return bestKit(indexLedger(ledgerOfTrip(plan, survey, reference).ledger))
  }
  const before = kitFor(trip.dials.planning)
  const after = kitFor(withLearned(trip.dials.planning, values))
  const things = trip.bench.map(({ id }, i) => ({
    thing: id,
    before: nth(before.counts, i),
    after: nth(after.counts, i),
  }))
  return {
    things: things.filter((thing) => thing.before !== thing.after),
    promiseBeforeH: before.promiseH,
    promiseAfterH: after.promiseH,
  }
}
