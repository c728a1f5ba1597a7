import type { Thing } from '../bench'
import type { Trip } from './schema'

/** A bench on which nothing is said to stay in a place for things that no bike has: after a bike or a bag was removed. */
export function packedWhereThereIs(
  bench: Thing[],
  bikes: readonly Pick<Trip['bikes'][number], 'id' | 'storage'>[],
): Thing[] {
  const isThere = ({ bikeId, storageId }: Thing['packedIn'][number]) =>
    bikes.some(({ id, storage }) => id === bikeId && storage.some((place) => place.id === storageId))
  if (bench.every(({ packedIn }) => packedIn.every(isThere))) return bench
  return bench.map((thing) => ({ ...thing, packedIn: thing.packedIn.filter(isThere) }))
}
