import { nightAt } from '../ride'
import type { Stop } from '../supply'
import { inOrder } from './import-road'
import type { Trip } from './schema'

/** Puts a stop at another place of the road; a night that is settled there goes with it. */
export function moveStop({ stops, ride }: Pick<Trip, 'stops' | 'ride'>, stop: Stop, roadKm: number) {
  const night = nightAt(ride.nights, stop.roadKm)
  return {
    stops: inOrder(stops.map((other) => (other.id === stop.id ? { ...other, roadKm } : other))),
    ...(night && {
      ride: { ...ride, nights: ride.nights.map((other) => (other === night ? { ...other, roadKm } : other)) },
    }),
  }
}
