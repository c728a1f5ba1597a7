import type { Rider } from '#core/crew'
import type { Stop } from '#core/supply'
import type { Trip } from '#core/trip'

/**
 * Where a rider joins the others and leaves them: "joins at Ferrow, leaves at Quillby"; nothing where they are there all the
 * way, as one is who would leave before joining.
 */
export function alongInWords({ joins, leaves }: Pick<Rider, 'joins' | 'leaves'>, stops: readonly Stop[]): string {
  const stopOf = (id: string | null) => stops.find((stop) => stop.id === id)
  const [from, to] = [stopOf(joins), stopOf(leaves)]
  if (from && to && from.roadKm >= to.roadKm) return ''
  return [from && `joins at ${from.name}`, to && `leaves at ${to.name}`].filter((words) => words).join(', ')
}

/** Why a crew carries more of something than it would if all were always together. */
export const doubledBecause = ({ ride, road }: Pick<Trip, 'ride' | 'road'>) =>
  ride.apart > 0 || road.stretches.some(({ apart }) => (apart ?? 0) > 0) ? 'because apart' : 'not all are there'
