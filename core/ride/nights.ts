import type { Ride } from './schema'

type Nights = Ride['nights']

/** A place this near to where a night is spent is the same place. */
export const sameNightKm = 1

/** The stop one sleeps at, of those about a place: the nearest; undefined out on the road. */
export function stopNear<T extends { readonly roadKm: number }>(stops: readonly T[], roadKm: number): T | undefined {
  const away = (stop: T) => Math.abs(stop.roadKm - roadKm)
  return stops.filter((stop) => away(stop) <= sameNightKm).sort((a, b) => away(a) - away(b))[0]
}

/** The night that is settled at a place, if there is one. */
export function nightAt(nights: Nights, roadKm: number): Nights[number] | undefined {
  return nights.find((night) => Math.abs(night.roadKm - roadKm) <= sameNightKm)
}

/**
 * The nights with so many at a place.
 *
 * @param count 0 to settle none there; more than one is days of rest
 * @param id a fresh id, for a night that is new
 */
export function settleNight(nights: Nights, roadKm: number, count: number, id: string): Nights {
  const here = nightAt(nights, roadKm)
  const others = nights.filter((night) => night !== here)
  if (count === 0) return others
  const night = here ? { ...here, nights: count } : { id, roadKm, nights: count }
  return [...others, night].sort((a, b) => a.roadKm - b.roadKm)
}
