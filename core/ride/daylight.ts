import { getTimes } from 'suncalc'
import { midnightBefore, minutesPerDay, type WallMinutes } from './wall-clock'

/** The sun on one day at one place, by the clock on the wall there. */
export type Daylight =
  | { readonly kind: 'rises and sets'; readonly rises: WallMinutes; readonly sets: WallMinutes }
  | { readonly kind: 'never sets' }
  | { readonly kind: 'never rises' }

/**
 * Sunrise and sunset: the sun's upper edge on a level horizon.
 *
 * @param at any time of the day asked about
 * @param utcOffsetH hours by which the clock is ahead of universal time
 * Source: suncalc, after J. Meeus, Astronomical Algorithms (1998).
 */
export function daylightOn(at: WallMinutes, lat: number, lon: number, utcOffsetH: number): Daylight {
  const offset = utcOffsetH * 60
  const noon = midnightBefore(at) + minutesPerDay / 2
  const { sunrise, sunset, alwaysUp } = getTimes(new Date((noon - offset) * 60_000), lat, lon)
  if (!sunrise || !sunset) return { kind: alwaysUp ? 'never sets' : 'never rises' }
  const onTheWall = (instant: Date) => instant.getTime() / 60_000 + offset
  return { kind: 'rises and sets', rises: onTheWall(sunrise), sets: onTheWall(sunset) }
}

/** Hours of daylight left at a time of the day: none before sunrise, as one cannot see yet. */
export function lightLeftH(at: WallMinutes, daylight: Daylight): number {
  if (daylight.kind === 'never sets') return 24
  if (daylight.kind === 'never rises' || at < daylight.rises) return 0
  return Math.max(0, daylight.sets - at) / 60
}
