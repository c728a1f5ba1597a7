import type { Stop } from '../supply'
import { sortedByKm } from './import-road'
import type { Trip } from './schema'

/** Puts a stop at another place of the road; the nights that hold on to it go with it, and no others. */
export function moveStop({ stops, ride }: Pick<Trip, 'stops' | 'ride'>, stop: Stop, roadKm: number) {
  const goes = ride.nights.some((night) => night.stop === stop.id)
  return {
    stops: sortedByKm(stops.map((other) => (other.id === stop.id ? { ...other, roadKm } : other))),
    ...(goes && {
      ride: {
        ...ride,
        nights: ride.nights
          .map((night) => (night.stop === stop.id ? { ...night, roadKm } : night))
          .sort((a, b) => a.roadKm - b.roadKm),
      },
    }),
  }
}
