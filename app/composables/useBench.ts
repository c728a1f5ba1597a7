import { thingSchema, type CatalogueItem, type Thing } from '#core/bench'
import { useTripStore } from '../stores/trip'

/** Laying things on the bench. */
export function useBench() {
  const store = useTripStore()

  /** Lays things of the catalogue down; of those that lie there already, one more. */
  function take(items: readonly CatalogueItem[]) {
    const bench = items.reduce<Thing[]>((laid, item) => {
      const same = laid.find((thing) => thing.from === item.id)
      if (same) return laid.map((thing) => (thing === same ? { ...same, count: Math.min(99, same.count + 1) } : thing))
      const { id, source: _, group: __, ...rest } = item
      return [...laid, thingSchema.parse({ ...rest, id: crypto.randomUUID().slice(0, 8), from: id })]
    }, store.openTrip.bench)
    store.edit(`take ${items.map(({ name }) => name).join(', ')}`, { bench })
  }

  /** Lays so many of some things of the catalogue down, where nothing of them lies there. */
  function lay(pieces: readonly { readonly item: CatalogueItem; readonly count: number }[], label: string) {
    const laid = pieces.map(({ item: { id, source: _, group: __, ...rest }, count }) =>
      thingSchema.parse({ ...rest, id: crypto.randomUUID().slice(0, 8), from: id, count }),
    )
    store.edit(label, { bench: [...store.openTrip.bench, ...laid] })
  }
  return { take, lay }
}
