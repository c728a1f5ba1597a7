import { thingFrom, type CatalogueItem, type Thing } from '#core/bench'
import { useTripStore } from '../stores/trip'

const newId = () => crypto.randomUUID().slice(0, 8)

/** Laying things on the bench. */
export function useBench() {
  const store = useTripStore()

  /** Lays things of the catalogue down; of those that lie there already, one more. */
  function take(items: readonly CatalogueItem[]) {
    const bench = items.reduce<Thing[]>((laid, item) => {
      const same = laid.find((thing) => thing.from === item.id)
      if (same) return laid.map((thing) => (thing === same ? { ...same, count: Math.min(99, same.count + 1) } : thing))
      return [...laid, thingFrom(item, newId())]
    }, store.openTrip.bench)
    store.edit(`take ${items.map(({ name }) => name).join(', ')}`, { bench })
  }

  /** Lays so many of some things of the catalogue down, where nothing of them lies there. */
  function lay(pieces: readonly { readonly item: CatalogueItem; readonly count: number }[], label: string) {
    const laid = pieces.map(({ item, count }) => thingFrom(item, newId(), count))
    store.edit(label, { bench: [...store.openTrip.bench, ...laid] })
  }
  return { take, lay }
}
