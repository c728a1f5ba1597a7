import type { Trip } from './schema'

/** A crew and a bench without one of the riders: what they brought is everybody's, and what they carried is carried by others. */
export function withoutRider(
  { crew, bench }: Pick<Trip, 'crew' | 'bench'>,
  riderId: string,
): Pick<Trip, 'crew' | 'bench'> {
  return {
    crew: crew.filter(({ id }) => id !== riderId),
    bench: bench.map((thing) => {
      if (thing.broughtBy !== riderId && !(riderId in thing.carriedBy)) return thing
      const { [riderId]: _, ...carriedBy } = thing.carriedBy
      return { ...thing, carriedBy, broughtBy: thing.broughtBy === riderId ? null : thing.broughtBy }
    }),
  }
}
