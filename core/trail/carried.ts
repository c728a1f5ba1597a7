import type { PackPlan } from '../pack'
import type { SplitPlan } from '../split'
import type { Trip } from '../trip'
import { defined, nth } from '../validation'
import type { CarriedPieces } from '../log'

/**
 * What each rider sets off with, and in which bag, of a kit that is shared out and packed. What is bought on the way is not
 * there yet.
 */
export function carriedAsPacked(
  { bench, bikes, crew }: Pick<Trip, 'bench' | 'bikes' | 'crew'>,
  { riders }: Pick<SplitPlan, 'riders'>,
  packs: readonly PackPlan[],
): CarriedPieces[] {
  return riders.flatMap(({ id, counts }) => {
    const { bikeId } = defined(crew.find((rider) => rider.id === id))
    const bike = bikes.find((each) => each.id === bikeId)
    const places = packs.find((pack) => pack.bikeId === bikeId)?.places ?? []
    return counts.flatMap((carried, item) => {
      const { id: thing, boughtAt } = nth(bench, item)
      if (boughtAt !== null) return []
      let loose = carried
      const inBags = places.flatMap(({ storageId, layers }): CarriedPieces[] => {
        const here = layers.reduce((sum, layer) => (layer.thing === item ? sum + layer.count : sum), 0)
        const count = Math.min(here, loose)
        loose -= count
        const bag = bike?.storage.find((storage) => storage.id === storageId)?.name ?? ''
        return count > 0 ? [{ rider: id, thing, count, bag }] : []
      })
      return loose > 0 ? [...inBags, { rider: id, thing, count: loose, bag: '' }] : inBags
    })
  })
}

/** The same of a kit that nobody has shared out yet: whoever is first has all of it. @param counts of each thing of the bench */
export const carriedByFirst = (
  { bench, crew }: Pick<Trip, 'bench' | 'crew'>,
  counts: readonly number[],
): CarriedPieces[] =>
  bench.flatMap(({ id, boughtAt }, i) =>
    nth(counts, i) > 0 && boughtAt === null
      ? [{ rider: crew[0]?.id ?? '', thing: id, count: nth(counts, i), bag: '' }]
      : [],
  )
