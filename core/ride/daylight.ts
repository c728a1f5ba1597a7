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
  const [rises, sets] = [onTheWall(sunrise), onTheWall(sunset)]
  // Near the 180° meridian the days of the sun may be counted one sooner or later than those of the clock.
  const daysOff = Math.round(((rises + sets) / 2 - noon) / minutesPerDay) * minutesPerDay
  return { kind: 'rises and sets', rises: rises - daysOff, sets: sets - daysOff }
}

/** From when to when it is light. */
export interface Light {
  readonly begins: WallMinutes
  readonly ends: WallMinutes
}

/**
 * The light that is next to end after a moment, every day being lit like the
 * one given. It may have begun the day before: far north in summer the sun
 * sets after midnight.
 */
export function nextLight(after: WallMinutes, { rises, sets }: Daylight & { kind: 'rises and sets' }): Light {
  let days = Math.floor((after - sets) / minutesPerDay) + 1
  // By rounding, the very light that ends now may be found again.
  if (sets + days * minutesPerDay <= after) days++
  return { begins: rises + days * minutesPerDay, ends: sets + days * minutesPerDay }
}

/** Hours of daylight left at a moment: none before sunrise, as one cannot see yet. */
export function lightLeftH(at: WallMinutes, daylight: Daylight): number {
  if (daylight.kind === 'never sets') return 24
  if (daylight.kind === 'never rises') return 0
  const light = nextLight(at, daylight)
  return at < light.begins ? 0 : (light.ends - at) / 60
}

/** Hours of darkness between two moments. */
export function darkH(from: WallMinutes, to: WallMinutes, daylight: Daylight): number {
  if (daylight.kind === 'never sets') return 0
  if (daylight.kind === 'never rises') return (to - from) / 60
  let dark = 0
  for (let now = from; now < to;) {
    const light = nextLight(now, daylight)
    dark += Math.max(0, Math.min(light.begins, to) - now)
    now = light.ends
  }
  return dark / 60
}
