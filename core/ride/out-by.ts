import type { Daylight } from './daylight'
import { midnightBefore, minutesPerDay, type WallMinutes } from './wall-clock'

/** How a long walk ends. */
export interface OutBy {
  readonly at: WallMinutes
  /** Hours from the breakdown until one is out, nights included. */
  readonly hours: number
  /** Nights spent out. */
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
  let left = walkH * 60
  let now = from
  let nights = 0
  for (;;) {
    const { light, dark } = lightOn(now, daylight)
    const begins = Math.max(now, light)
    const walked = Math.min(left, Math.max(0, dark - begins), walkHoursPerDay * 60)
    left -= walked
    if (left <= 1e-9) {
      const at = begins + walked
      return { at, hours: (at - from) / 60, nights }
    }
    nights++
    now = morningAfter(begins, daylight, from)
  }
}

/** From when to when one can walk on the day of a moment. */
function lightOn(now: WallMinutes, daylight: Daylight): { light: WallMinutes; dark: WallMinutes } {
  if (daylight.kind === 'rises and sets') {
    return { light: sameTime(daylight.rises, now), dark: sameTime(daylight.sets, now) }
  }
  return { light: now, dark: now + minutesPerDay }
}

function morningAfter(now: WallMinutes, daylight: Daylight, from: WallMinutes): WallMinutes {
  const next = midnightBefore(now) + minutesPerDay
  return daylight.kind === 'rises and sets' ? sameTime(daylight.rises, next) : next + (from - midnightBefore(from))
}

/** The time of day of one moment on the date of another. */
function sameTime(time: WallMinutes, on: WallMinutes): WallMinutes {
  return midnightBefore(on) + (time - midnightBefore(time))
}
