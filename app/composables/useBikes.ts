import { bikeFrom, catalogue } from '#catalogue'
import { bikeSchema, fastenersAfterChange, type Bike, type BikeKind, type Fastener } from '#core/bike'
import { faultLines, packedWhereThereIs } from '#core/trip'
import { checkAgainst } from '#core/validation'
import { computed } from 'vue'
import { useSelection } from '../stores/selection'
import { useTripStore } from '../stores/trip'

/** The bikes of the trip, the one whose passport lies open, and what may be done to them. */
export function useBikes() {
  const store = useTripStore()
  const selection = useSelection()
  const bikes = computed(() => store.openTrip.bikes)
  const bike = computed(() => bikes.value.find(({ id }) => id === selection.bikeId) ?? bikes.value[0])

  function put(changed: Bike, label: string, merge?: string) {
    edit(
      bikes.value.map((other) => (other.id === changed.id ? changed : other)),
      label,
      merge,
    )
  }
  /** What was packed where there is no place for it any more, is packed anew. */
  function edit(after: Bike[], label: string, merge?: string) {
    const bench = packedWhereThereIs(store.openTrip.bench, after)
    store.edit(label, bench === store.openTrip.bench ? { bikes: after } : { bikes: after, bench }, merge)
  }

  /**
   * Changes a bike, its fasteners following; a change that makes no sense is left alone.
   *
   * @returns what is wrong with it, in lines; none where it was made
   */
  function change(before: Bike, part: Partial<Bike>, label: string): string[] {
    try {
      const after = checkAgainst(bikeSchema, { ...before, ...part })
      put({ ...after, fasteners: part.fasteners ?? fastenersAfterChange(before, after, catalogue.bikes) }, label)
      return []
    } catch (error) {
      return faultLines(error) ?? [String(error)]
    }
  }

  function changeFastener(target: Bike, fastener: Fastener): string[] {
    const known = target.fasteners.some(({ id }) => id === fastener.id)
    const fasteners = known
      ? target.fasteners.map((other) => (other.id === fastener.id ? fastener : other))
      : [...target.fasteners, fastener]
    return change(target, { fasteners }, `${known ? 'change' : 'add'} ${fastener.name}`)
  }

  function removeFastener(target: Bike, fastener: Fastener) {
    change(target, { fasteners: target.fasteners.filter(({ id }) => id !== fastener.id) }, `remove ${fastener.name}`)
  }

  function addBike(kind: BikeKind) {
    const added = bikeFrom(kind, crypto.randomUUID().slice(0, 8))
    store.edit(`add ${added.name}`, { bikes: [...bikes.value, added] })
    selection.bikeId = added.id
    selection.part = ''
  }

  /** Starts a passport anew from a kind of bike, under its name; the crew still rides it. */
  function startFrom(target: Bike, kind: BikeKind) {
    put(
      { ...bikeFrom(kind, target.id), name: target.name },
      `start ${target.name} from a ${bikeFrom(kind, '-').name.toLowerCase()}`,
    )
  }

  const isRidden = (target: Bike) => store.openTrip.crew.some(({ bikeId }) => bikeId === target.id)

  /** Riders of a bike keep it from being given away. */
  function removeBike(target: Bike) {
    if (isRidden(target)) return
    edit(
      bikes.value.filter(({ id }) => id !== target.id),
      `remove ${target.name}`,
    )
    selection.bikeId = ''
  }

  return { bikes, bike, change, changeFastener, removeFastener, addBike, startFrom, removeBike, isRidden }
}
