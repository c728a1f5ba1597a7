import { thingFrom, withOneFewer, withOneMore, type CatalogueItem, type Thing } from '#core/bench'
import { useTripStore } from '../stores/trip'

const newId = () => crypto.randomUUID().slice(0, 8)

/** Laying things on the bench. */
export function useBench() {
  const store = useTripStore()

  /** Lays things of the catalogue down; of those that lie there already, one more. */
  function take(items: readonly CatalogueItem[]) {
    const bench = items.reduce((laid, item) => withOneMore(laid, item, newId()), store.openTrip.bench)
    store.edit(`take ${items.map(({ name }) => name).join(', ')}`, { bench })
  }

  /** Puts one of a thing of the catalogue back. */
  function putBack(item: CatalogueItem) {
    store.edit(`put ${item.name} back`, { bench: withOneFewer(store.openTrip.bench, item) })
  }

  /** Lays so many of some things of the catalogue down, where nothing of them lies there, behind what comes from a shed. */
  function lay(
    pieces: readonly { readonly item: CatalogueItem; readonly count: number }[],
    label: string,
    owned: readonly Thing[] = [],
  ) {
    const laid = pieces.map(({ item, count }) => thingFrom(item, newId(), count))
    store.edit(label, { bench: [...store.openTrip.bench, ...owned, ...laid] })
  }
  return { take, putBack, lay }
}
