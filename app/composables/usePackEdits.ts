import type { Thing } from '#core/bench'
import { mostStorage, type Bike, type Storage } from '#core/bike'
import { packedWhereThereIs } from '#core/trip'
import { useTripStore } from '../stores/trip'
import { usePack } from '../stores/pack'

/** What may be done to a packing: each a step that can be taken back. */
export function usePackEdits() {
  const store = useTripStore()
  const pack = usePack()

  const nameOf = (bike: Bike, storageId: string) => bike.storage.find(({ id }) => id === storageId)?.name ?? ''
  function change(thing: Thing, part: Partial<Thing>, label: string) {
    const bench = store.openTrip.bench.map((other) => (other.id === thing.id ? { ...other, ...part } : other))
    store.edit(label, { bench })
  }

  /** How many pieces of a thing lie in a place of a bike now. */
  function countIn(thing: Thing, bike: Bike, storageId: string): number {
    const item = store.openTrip.bench.findIndex(({ id }) => id === thing.id)
    const place = pack.plans
      ?.find(({ bikeId }) => bikeId === bike.id)
      ?.places.find((each) => each.storageId === storageId)
    return (place?.layers ?? []).reduce((sum, layer) => (layer.thing === item ? sum + layer.count : sum), 0)
  }
  const staysIn = (thing: Thing, bike: Bike, storageId: string) =>
    thing.packedIn.find((pin) => pin.bikeId === bike.id && pin.storageId === storageId)?.count ?? 0
  /** With so many pieces that stay in a place. */
  const withStay = (packedIn: Thing['packedIn'], bike: Bike, storageId: string, count: number): Thing['packedIn'] => [
    ...packedIn.filter((pin) => pin.bikeId !== bike.id || pin.storageId !== storageId),
    ...(count > 0 ? [{ bikeId: bike.id, storageId, count }] : []),
  ]

  /** A piece goes to another place of its bike, and stays there. @param from null where it was out */
  function put(thing: Thing, bike: Bike, from: string | null, to: string) {
    if (from === to) return
    const left = from === null ? 0 : Math.min(staysIn(thing, bike, from), countIn(thing, bike, from) - 1)
    const without = from === null ? thing.packedIn : withStay(thing.packedIn, bike, from, left)
    const packedIn = withStay(without, bike, to, countIn(thing, bike, to) + 1)
    change(thing, { packedIn }, `put ${thing.name} into ${nameOf(bike, to)}`)
  }

  /** What lies in a place of a thing stays there, whatever else is packed. */
  function keep(thing: Thing, bike: Bike, storageId: string) {
    const packedIn = withStay(thing.packedIn, bike, storageId, countIn(thing, bike, storageId))
    change(thing, { packedIn }, `${thing.name} stays in ${nameOf(bike, storageId)}`)
  }
  function letGo(thing: Thing, bike: Bike, storageId: string) {
    change(thing, { packedIn: withStay(thing.packedIn, bike, storageId, 0) }, `${thing.name} may be packed elsewhere`)
  }

  /** Everything on a bike may be packed elsewhere. */
  function packAnew(bike: Bike) {
    const bench = store.openTrip.bench.map((thing) => ({
      ...thing,
      packedIn: thing.packedIn.filter(({ bikeId }) => bikeId !== bike.id),
    }))
    store.edit(`pack ${bike.name} anew`, { bench })
  }

  function hang(bike: Bike, storage: Storage[], label: string) {
    const bikes = store.openTrip.bikes.map((other) => (other.id === bike.id ? { ...other, storage } : other))
    const bench = packedWhereThereIs(store.openTrip.bench, bikes)
    store.edit(label, bench === store.openTrip.bench ? { bikes } : { bikes, bench })
  }
  /** Hangs bags of the catalogue, or of one's own, on a bike, as many as there is room for. */
  function addBags(bike: Bike, bags: readonly Storage[]) {
    const added = bags
      .slice(0, mostStorage - bike.storage.length)
      .map((bag) => ({ ...bag, id: crypto.randomUUID().slice(0, 8) }))
    const [first] = added
    if (!first) return
    hang(
      bike,
      [...bike.storage, ...added],
      `hang ${added.length > 1 ? `${added.length} bags` : first.name} on ${bike.name}`,
    )
  }
  function changeBag(bike: Bike, bag: Storage) {
    hang(
      bike,
      bike.storage.map((other) => (other.id === bag.id ? bag : other)),
      `change ${bag.name}`,
    )
  }
  function removeBag(bike: Bike, bag: Storage) {
    hang(
      bike,
      bike.storage.filter(({ id }) => id !== bag.id),
      `take ${bag.name} off ${bike.name}`,
    )
  }

  return { put, keep, letGo, packAnew, addBags, changeBag, removeBag }
}
