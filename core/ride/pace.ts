import { numberAt } from '../validation'
import { pointBefore, type Stretch, type Survey } from '../road'
import type { Ride } from './schema'

/** What the road counts as where no stretch says. */
const usualSurface = 'gravel'

/**
 * Hours in the saddle from the start to each point: the level time by the
 * surface, and the climb on top. Descents are no faster than the level, as they
 * are ridden on the brakes with a load. Planning values behind both.
 */
export function ridingAlong(
  survey: Survey,
  stretches: readonly Stretch[],
  ride: Pick<Ride, 'pace' | 'climbMPerH'>,
): Float64Array {
  const { km, upM } = survey
  const hoursPerKm = new Float64Array(km.length).fill(1 / ride.pace[usualSurface])
  const hours = new Float64Array(km.length)
  // The level time of a step that a stretch only partly covers is shared out by length.
  for (const { fromKm, toKm, surface } of stretches) {
    for (let i = pointBefore(km, fromKm); i + 1 < km.length && numberAt(km, i) < toKm; i++) {
      const length = numberAt(km, i + 1) - numberAt(km, i)
      if (length <= 0) continue
      const covered = (Math.min(toKm, numberAt(km, i + 1)) - Math.max(fromKm, numberAt(km, i))) / length
      if (covered > 0) hoursPerKm[i] = covered / ride.pace[surface] + (1 - covered) * numberAt(hoursPerKm, i)
    }
  }
  for (let i = 1; i < km.length; i++) {
    const level = (numberAt(km, i) - numberAt(km, i - 1)) * numberAt(hoursPerKm, i - 1)
    hours[i] = numberAt(hours, i - 1) + level + (numberAt(upM, i) - numberAt(upM, i - 1)) / ride.climbMPerH
  }
  return hours
}
