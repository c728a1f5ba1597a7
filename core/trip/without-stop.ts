import type { Trip } from './schema'

/**
 * A trip without one of the stops: who would have joined or left there is along from the start or to the end, and what would
 * have been bought there is bought before. Parts that do not speak of it stay the very same.
 */
export function withoutStop({ stops, crew, bench }: Pick<Trip, 'stops' | 'crew' | 'bench'>, stopId: string) {
  const isOf = (id: string | null) => id === stopId
  return {
    stops: stops.filter(({ id }) => !isOf(id)),
    crew: crew.some(({ joins, leaves }) => isOf(joins) || isOf(leaves))
      ? crew.map((rider) => ({
          ...rider,
          joins: isOf(rider.joins) ? null : rider.joins,
          leaves: isOf(rider.leaves) ? null : rider.leaves,
        }))
      : crew,
    bench: bench.some(({ boughtAt }) => isOf(boughtAt))
      ? bench.map((thing) => (isOf(thing.boughtAt) ? { ...thing, boughtAt: null } : thing))
      : bench,
  } satisfies Partial<Trip>
}
