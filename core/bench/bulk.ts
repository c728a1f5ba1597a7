import type { Handling } from './handling'
import type { CatalogueItem, Thing } from './schema'

/** How much room a thing takes, and what has to be minded. */
export interface Bulk {
  readonly volumeMl: number
  readonly longestMm: number
  readonly boreMm: number | null
  readonly handling: readonly Handling[]
  /** Whether its volume or its longest side is guessed from its mass, as nobody has said. */
  readonly isGuessed: boolean
}

/** What fills a bag weighs about so much, g/mL. Planning value. */
const usualDensity = 1
/** How much longer than a cube of its volume a thing usually is. Planning value. */
const usualSlenderness = 2

/** What a thing takes up: as it says itself, else as the catalogue says of its kind, else guessed from its mass. */
export function bulkOf(
  thing: Pick<Thing, 'massG' | 'volumeMl' | 'longestMm' | 'handling' | 'from'>,
  items: readonly CatalogueItem[],
): Bulk {
  const kind = thing.from === null ? undefined : items.find(({ id }) => id === thing.from)
  const volumeMl = thing.volumeMl ?? kind?.volumeMl
  const longestMm = thing.longestMm ?? kind?.longestMm
  const guessedMl = volumeMl ?? thing.massG / usualDensity
  return {
    volumeMl: guessedMl,
    longestMm: longestMm ?? usualSlenderness * 10 * Math.cbrt(guessedMl),
    boreMm: kind?.boreMm ?? null,
    handling: thing.handling ?? kind?.handling ?? [],
    isGuessed: volumeMl === undefined || longestMm === undefined,
  }
}
