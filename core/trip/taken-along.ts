import type { Planning } from '../reference'
import type { Trip } from './schema'

/**
 * What of an earlier trip comes along to a new one: bikes with what is worn of them, riders with what they can do, and how they
 * judge. What was done for that road alone stays with it: jobs and practice that were planned, dials set for it, stances.
 *
 * @param planning values that are known better for all trips
 */
export function takenAlong(
  { bikes, crew, dials }: Trip,
  planning: Planning,
): Pick<Trip, 'bikes' | 'crew'> & { dials: Partial<Trip['dials']> } {
  const { walking, walkHoursPerDay, handMostN, homeShare, currency, moneyPerHour } = dials
  return {
    bikes: bikes.map((bike) => ({ ...bike, jobs: [] })),
    crew: crew.map((rider) => ({ ...rider, practice: [] })),
    dials: { walking, walkHoursPerDay, handMostN, homeShare, currency, moneyPerHour, planning },
  }
}
