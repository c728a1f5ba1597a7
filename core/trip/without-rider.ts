import type { Trip } from './schema'

/** A crew and a bench without one of the riders: what they brought is everybody's. */
export function withoutRider(
  { crew, bench }: Pick<Trip, 'crew' | 'bench'>,
  riderId: string,
): Pick<Trip, 'crew' | 'bench'> {
  return {
    crew: crew.filter(({ id }) => id !== riderId),
    bench: bench.map((thing) => (thing.broughtBy === riderId ? { ...thing, broughtBy: null } : thing)),
  }
}
