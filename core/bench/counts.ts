import { thingFrom } from './from-catalogue'
import { mostOfAThing, type CatalogueItem, type Thing } from './schema'

/** So many of a thing; what is pinned never goes beyond what there is. @param count 1 to the most of a thing */
export function withCount(thing: Thing, count: number): Thing {
  const pin = thing.pin && { min: Math.min(thing.pin.min, count), max: Math.min(thing.pin.max, count) }
  return { ...thing, count, pin }
}

/** A bench with one more of a thing of the catalogue: of the first that lies there, else laid down under an id. */
export function withOneMore(bench: readonly Thing[], item: CatalogueItem, id: string): Thing[] {
  const known = bench.find(({ from }) => from === item.id)
  if (!known) return [...bench, thingFrom(item, id)]
  const more = withCount(known, Math.min(mostOfAThing, known.count + 1))
  return bench.map((thing) => (thing === known ? more : thing))
}

/** A bench with one fewer of a thing of the catalogue: of the first that lies there, which goes with its last. */
export function withOneFewer(bench: readonly Thing[], item: Pick<CatalogueItem, 'id'>): Thing[] {
  const known = bench.find(({ from }) => from === item.id)
  if (!known) return [...bench]
  if (known.count === 1) return bench.filter((thing) => thing !== known)
  return bench.map((thing) => (thing === known ? withCount(known, known.count - 1) : thing))
}
