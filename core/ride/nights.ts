import type { Ride } from './schema'

type Nights = Ride['nights']
type Night = Nights[number]

/** A place this near to where a night is spent is the same place. */
export const samePlaceKm = 1

/** Where somebody sleeps: at a stop, or out on the road. */
export interface NightPlace {
  readonly roadKm: number
  /** The stop's id; null out on the road. */
  readonly stop: string | null
}

/** The nearest of some places to one of the road, no farther off than the same place may be. */
export function nearestTo<T extends { readonly roadKm: number }>(places: readonly T[], roadKm: number): T | undefined {
  const away = (place: T) => Math.abs(place.roadKm - roadKm)
  return places.filter((place) => away(place) <= samePlaceKm).sort((a, b) => away(a) - away(b))[0]
}

/** Where somebody sleeps who stays about a place: at the nearest stop there is, else out on the road. */
export function nightPlaceAt(
  stops: readonly { readonly id: string; readonly roadKm: number }[],
  roadKm: number,
): NightPlace {
  const stop = nearestTo(stops, roadKm)
  return stop ? { roadKm: stop.roadKm, stop: stop.id } : { roadKm, stop: null }
}

/** The night that is settled at a place: that of its own stop, else the nearest about it. */
export function nightAt(nights: Nights, { roadKm, stop }: NightPlace): Night | undefined {
  return (stop !== null ? nights.find((night) => night.stop === stop) : undefined) ?? nearestTo(nights, roadKm)
}

/**
 * The nights with so many at a place. One that was settled about it already is this one, and comes to lie here; a night
 * at a stop holds on to it.
 *
 * @param count 0 to settle none there; more than one is days of rest
 * @param id a fresh id, for a night that is new
 */
export function setNights(nights: Nights, bed: NightPlace, count: number, id: string): Nights {
  const here = nightAt(nights, bed)
  const others = nights.filter((night) => night !== here)
  if (count === 0) return others
  const place = bed.stop === null && here ? { roadKm: here.roadKm, stop: here.stop } : bed
  return [...others, { id: here?.id ?? id, ...place, nights: count }].sort((a, b) => a.roadKm - b.roadKm)
}
