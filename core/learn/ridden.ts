import { CostsOfFailing } from '../availability'
import type { Log } from '../log'
import type { Reference } from '../reference'
import { surveyRoad, type Survey } from '../road'
import type { Trip } from '../trip'
import { writeLedger, type LedgerOfTrip } from '../trip-ledger'

/** A trip that was ridden, as far as its log goes. */
export interface RiddenTrip {
  readonly trip: Trip
  readonly survey: Survey
  readonly costs: CostsOfFailing
  /** The ledger of the whole plan: what was expected. */
  readonly laid: LedgerOfTrip
  /** The road was ridden so far, km. */
  readonly riddenKm: number
}

/** How far a road was ridden by a log: to the farthest place of which it speaks; 0 where nobody has set off. */
export function riddenTo(log: Log, lengthKm: number): number {
  if (!log.some(({ kind }) => kind === 'set off')) return 0
  return Math.min(lengthKm, Math.max(0, ...log.map(({ roadKm }) => roadKm ?? 0)))
}

/** A trip with what was expected of it; nothing where it was not ridden. */
export function riddenTrip(trip: Trip, reference: Reference): RiddenTrip | undefined {
  const survey = surveyRoad(trip.road.points)
  const riddenKm = riddenTo(trip.log, survey.lengthKm)
  if (riddenKm <= 0) return undefined
  const costs = new CostsOfFailing(trip, survey, reference)
  return { trip, survey, costs, laid: writeLedger(trip, survey, reference, costs), riddenKm }
}

/** When the first that a log tells of happened: "2026-06-12T08:30". */
export const firstDayOf = ({ trip }: Pick<RiddenTrip, 'trip'>): string =>
  trip.log.reduce((first, { at }) => (at < first ? at : first), '9')
