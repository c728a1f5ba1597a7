import type { Planning } from '../reference'
import { openTask } from '../task'
import type { Trip } from './schema'

/**
 * What of an earlier trip comes along to a new one: bikes with what is worn of them, riders with what they can do, and how they
 * judge, and the shops at home. What was done for that road alone stays with it: jobs, checks and practice, dials set for it,
 * stances, one's own list.
 *
 * @param planning values that are known better for all trips
 */
export function takenAlong(
  { bikes, crew, home, dials }: Trip,
  planning: Planning,
): Pick<Trip, 'bikes' | 'crew' | 'home'> & { dials: Partial<Trip['dials']> } {
  const { walking, walkHoursPerDay, handMostN, homeShare, currency, moneyPerHour } = dials
  return {
    bikes: bikes.map((bike) => ({ ...bike, jobs: [], checks: [] })),
    crew: crew.map((rider) => ({ ...rider, practice: [] })),
    home: { ...home, tasks: [], papers: openTask },
    dials: { walking, walkHoursPerDay, handMostN, homeShare, currency, moneyPerHour, planning },
  }
}
