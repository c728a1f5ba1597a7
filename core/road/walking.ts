import { numberAt } from '../validation'
import { KM_PER_MILE, METRES_PER_FOOT } from '../units'
import type { Survey } from './survey'

export const walkingMethods = ['naismith', 'tobler'] as const
export type WalkingMethod = (typeof walkingMethods)[number]

const naismithKmPerHour = 3 * KM_PER_MILE
const naismithClimbPerHour = 2000 * METRES_PER_FOOT

/**
 * Hours to walk a distance with an ascent.
 *
 * @param km distance, 0 or more
 * @param climbM metres of ascent, 0 or more; descent is free
 * Source: W. W. Naismith, Scottish Mountaineering Club Journal 2 (1892): an
 * hour for every three miles, with an additional hour for every 2000 ft.
 */
export function naismithHours(km: number, climbM: number): number {
  return km / naismithKmPerHour + climbM / naismithClimbPerHour
}

/**
 * Walking speed on a slope, in km/h.
 *
 * @param slope rise over run, positive uphill
 * Source: W. Tobler, NCGIA Technical Report 93-1 (1993): 6·exp(−3.5·|slope + 0.05|).
 */
export function toblerKmPerHour(slope: number): number {
  return 6 * Math.exp(-3.5 * Math.abs(slope + 0.05))
}

/** Hours to walk a distance off the road, taken as level. */
export function levelHours(km: number, method: WalkingMethod): number {
  return method === 'naismith' ? naismithHours(km, 0) : km / toblerKmPerHour(0)
}

/** The steepest slope Tobler's function is asked for; steeper steps are noise in the data or stairs. */
const steepest = 0.6

/**
 * Hours of walking without a bike, summed point by point.
 *
 * `ahead[i]` is the time from the start to point i, `back[i]` the time from
 * point i to the start.
 */
export function walkingAlong(survey: Survey, method: WalkingMethod): { ahead: Float64Array; back: Float64Array } {
  const n = survey.km.length
  const ahead = new Float64Array(n)
  const back = new Float64Array(n)
  for (let i = 1; i < n; i++) {
    const km = numberAt(survey.km, i) - numberAt(survey.km, i - 1)
    if (method === 'naismith') {
      ahead[i] = numberAt(ahead, i - 1) + naismithHours(km, numberAt(survey.upM, i) - numberAt(survey.upM, i - 1))
      back[i] = numberAt(back, i - 1) + naismithHours(km, numberAt(survey.downM, i) - numberAt(survey.downM, i - 1))
    } else if (km > 0) {
      const rise = survey.eleM ? (numberAt(survey.eleM, i) - numberAt(survey.eleM, i - 1)) / 1000 / km : 0
      const slope = Math.min(Math.max(rise, -steepest), steepest)
      ahead[i] = numberAt(ahead, i - 1) + km / toblerKmPerHour(slope)
      back[i] = numberAt(back, i - 1) + km / toblerKmPerHour(-slope)
    } else {
      ahead[i] = numberAt(ahead, i - 1)
      back[i] = numberAt(back, i - 1)
    }
  }
  return { ahead, back }
}
