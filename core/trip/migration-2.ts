import { nearestTo } from '../ride'

/*
 * What rag-tin.trip/2 said otherwise: a night had a place and no stop to hold on to.
 */

type Loose = Record<string, unknown>
const isLoose = (value: unknown): value is Loose => value !== null && typeof value === 'object' && !Array.isArray(value)

/** A whole document of the second format: each night comes to lie at the stop it was spent at. */
export function tripFrom2(document: Loose): Loose {
  const { ride } = document
  if (!isLoose(ride) || !Array.isArray(ride.nights)) return document
  const stops = (Array.isArray(document.stops) ? (document.stops as unknown[]) : []).filter(
    (stop): stop is { id: string; roadKm: number } =>
      isLoose(stop) && typeof stop.id === 'string' && typeof stop.roadKm === 'number',
  )
  const nights = (ride.nights as unknown[]).map((night) => {
    if (!isLoose(night) || 'stop' in night || typeof night.roadKm !== 'number') return night
    const stop = nearestTo(stops, night.roadKm)
    return stop ? { ...night, roadKm: stop.roadKm, stop: stop.id } : night
  })
  return { ...document, ride: { ...ride, nights } }
}
