import { nextLight, type Daylight } from './daylight'
import { minutesPerDay, type WallMinutes } from './wall-clock'

/** How a long walk ends. */
export interface OutBy {
  readonly at: WallMinutes
  /** Hours from the breakdown until one is out, nights included. */
  readonly hours: number
  /** Nights spent out: waits for more than half of the dark. */
  readonly nights: number
}

/**
 * When somebody who walks by day only is out.
 *
 * @param from when the walk begins
 * @param walkH hours on foot it takes, finite
 * @param daylight the sun on these days; where it never sets or never rises one walks by the clock instead
 * @param walkHoursPerDay the most one walks in a day
 */
export function outBy(from: WallMinutes, walkH: number, daylight: Daylight, walkHoursPerDay: number): OutBy {
  const most = walkHoursPerDay * 60
  if (daylight.kind !== 'rises and sets') {
    const nights = Math.max(0, Math.ceil(walkH / walkHoursPerDay - 1e-9) - 1)
    const at = from + nights * minutesPerDay + (walkH * 60 - nights * most)
    return { at, hours: (at - from) / 60, nights }
  }
  const night = minutesPerDay - (daylight.sets - daylight.rises)
  let left = walkH * 60
  let now = from
  let nights = 0
  for (;;) {
    const light = nextLight(now, daylight)
    const begins = Math.max(now, light.begins)
    // Who breaks down towards morning only waits for the light.
    if (begins - now > night / 2) nights++
    const walked = Math.min(left, light.ends - begins, most)
    left -= walked
    if (left <= 1e-9) {
      const at = begins + walked
      return { at, hours: (at - from) / 60, nights }
    }
    now = light.ends
  }
}
