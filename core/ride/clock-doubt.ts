/** A clock that hardly fits its place: when the sun is highest by it, and the offset by which that would be about noon. */
export interface ClockDoubt {
  /** Hours since midnight. */
  readonly noonH: number
  /** Hours ahead of universal time. */
  readonly fittingH: number
}

/** Clocks farther than this from the sun are rare on land; planning value. */
const farthestH = 3.5

/**
 * Whether a clock can be the one on the wall at a place.
 *
 * @param lon degrees east
 * @param utcOffsetH hours by which the clock is ahead of universal time
 * @returns null when it may well be
 * The sun is highest at 12 h universal time on the meridian of 0°, an hour sooner for each 15° east; the equation of time
 * (a quarter of an hour) is left out.
 */
export function clockDoubt(lon: number, utcOffsetH: number): ClockDoubt | null {
  const noonH = (((12 + utcOffsetH - lon / 15) % 24) + 24) % 24
  return Math.abs(noonH - 12) > farthestH ? { noonH, fittingH: Math.round(lon / 15) } : null
}
