import { isInTime, openTask } from '../task'
import { levelAtDeparture } from './hands'
import type { Rider, Skill } from './schema'

/**
 * The level that practice brings somebody to from another: whoever has done it at home an evening knows it, whether or not
 * they had watched it; whoever knows it from home learns the rest on a ride.
 */
const practisedTo: Readonly<Record<Skill, Skill | null>> = { 0: 2, 1: 2, 2: 3, 3: null }

/** Riders with the practice that they come to before the ride begins; what comes too late counts for nothing. */
export const practisedInTime = (crew: readonly Rider[], start: string | null): Rider[] =>
  crew.map((rider) => ({ ...rider, practice: rider.practice.filter((each) => isInTime(each, start)) }))

/** The level that a rider comes to who practises something once more; null where there is nothing to learn. */
export const nextLevel = (rider: Rider, techniqueId: string): Skill | null =>
  practisedTo[levelAtDeparture(rider, techniqueId)]

/** The rider who practises something once more, on a day or on one that is still open; who has nothing to learn stays so. */
export function practised(rider: Rider, techniqueId: string, on: string | null = null): Rider {
  const level = nextLevel(rider, techniqueId)
  if (level === null) return rider
  const others = rider.practice.filter(({ technique }) => technique !== techniqueId)
  return { ...rider, practice: [...others, { ...openTask, technique: techniqueId, level, on }] }
}

/** The rider who practises something no more. */
export const unpractised = (rider: Rider, techniqueId: string): Rider => ({
  ...rider,
  practice: rider.practice.filter(({ technique }) => technique !== techniqueId),
})
