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
      if (same) return laid.map((thing) => (thing === same ? withCount(same, Math.min(99, same.count + 1)) : thing))
      return [...laid, thingFrom(item, newId())]
    }, store.openTrip.bench)
    store.edit(`take ${items.map(({ name }) => name).join(', ')}`, { bench })
  }

  /** Puts one of a thing of the catalogue back; the last one leaves the bench. */
  function putBack({ id, name }: CatalogueItem) {
    const bench = store.openTrip.bench.flatMap((thing) => {
      if (thing.from !== id) return [thing]
      return thing.count > 1 ? [withCount(thing, thing.count - 1)] : []
    })
    store.edit(`put ${name} back`, { bench })
  }

  /** Lays so many of some things of the catalogue down, where nothing of them lies there. */
  function lay(pieces: readonly { readonly item: CatalogueItem; readonly count: number }[], label: string) {
    const laid = pieces.map(({ item, count }) => thingFrom(item, newId(), count))
    store.edit(label, { bench: [...store.openTrip.bench, ...laid] })
  }
  return { take, putBack, lay }
}

/** So many of a thing; a pin follows what there is. */
export function withCount(thing: Thing, count: number): Thing {
  const pin = thing.pin && {
    min: Math.min(thing.pin.min, count),
    max: Math.max(Math.min(thing.pin.max, count), Math.min(thing.pin.min, count)),
  }
  return { ...thing, count, pin }
}
