import { isSupply, type Thing } from './schema'

/**
 * The stop where a thing is bought on the way.
 *
 * @returns undefined for what comes along from the start: where no stop is said, where the stop is gone, and for tools,
 * which no place is known to have
 */
export const shopOf = <Stop extends { readonly id: string }>(
  thing: Pick<Thing, 'boughtAt' | 'units' | 'provides' | 'heads'>,
  stops: readonly Stop[],
): Stop | undefined => (isSupply(thing) ? stops.find(({ id }) => id === thing.boughtAt) : undefined)
