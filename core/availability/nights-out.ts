/** The light that is left of a day when something breaks, at any time of the riding alike: from so many hours to so many. */
export interface LightLeft {
  readonly leastH: number
  readonly mostH: number
}

/** A day of which nobody knows the date: broken down between an hour and ten before dark. Planning value. */
export const usualLight: LightLeft = { leastH: 1, mostH: 10 }

/**
 * Nights spent out on a walk, in expectation: one where it outlasts that day's light, and one more for each day's walking
 * beyond.
 *
 * @param walkH hours on foot, 0 or more
 * @param walkHoursPerDay the most one walks in a day
 */
export function nightsOut(walkH: number, { leastH, mostH }: LightLeft, walkHoursPerDay: number): number {
  let nights = 0
  for (let walked = walkH; walked > leastH; walked -= walkHoursPerDay) {
    nights += mostH > leastH ? Math.min(1, (walked - leastH) / (mostH - leastH)) : 1
  }
  return nights
}
