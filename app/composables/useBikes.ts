import { bikeFrom, catalogue } from '~~/catalogue'
import { bikeSchema, followChange, type Bike, type BikeKind, type Fastener } from '~~/core/bike'
import type { Rider } from '~~/core/crew'
import { checkAgainst } from '~~/core/fault'
import { faultLines } from '~~/core/trip'

/** The bikes of the trip, the one whose passport lies open, and what may be done to them. */
export function useBikes() {
  const store = useTripStore()
  const selection = useSelection()
  const bikes = computed(() => store.trip!.bikes)
  const bike = computed(() => bikes.value.find(({ id }) => id === selection.bikeId) ?? bikes.value[0])

  function put(changed: Bike, label: string, merge?: string) {
    store.edit(label, { bikes: bikes.value.map((other) => (other.id === changed.id ? changed : other)) }, merge)
  }

  /**
   * Changes a bike, its fasteners following; a change that makes no sense is left alone.
   *
   * @returns what is wrong with it, in lines; none where it was made
   */
  function change(before: Bike, part: Partial<Bike>, label: string): string[] {
    try {
      const after = checkAgainst(bikeSchema, { ...before, ...part })
      put({ ...after, fasteners: part.fasteners ?? followChange(before, after, catalogue.bikes) }, label)
      return []
    } catch (error) {
      return faultLines(error) ?? [String(error)]
    }
  }

  function changeFastener(of: Bike, fastener: Fastener): string[] {
    const known = of.fasteners.some(({ id }) => id === fastener.id)
    const fasteners = known
      ? of.fasteners.map((other) => (other.id === fastener.id ? fastener : other))
      : [...of.fasteners, fastener]
    return change(of, { fasteners }, `${known ? 'change' : 'add'} ${fastener.name}`)
  }

  function removeFastener(of: Bike, fastener: Fastener) {
    change(of, { fasteners: of.fasteners.filter(({ id }) => id !== fastener.id) }, `remove ${fastener.name}`)
  }

  function addBike(kind: BikeKind) {
    const added = bikeFrom(kind, crypto.randomUUID().slice(0, 8))
    store.edit(`add ${added.name}`, { bikes: [...bikes.value, added] })
    selection.bikeId = added.id
    selection.part = ''
  }

  /** Starts a passport anew from a kind of bike, under its name; the crew still rides it. */
  function startFrom(of: Bike, kind: BikeKind) {
    put(
      { ...bikeFrom(kind, of.id), name: of.name },
      `start ${of.name} from a ${bikeFrom(kind, '-').name.toLowerCase()}`,
    )
  }

  const crew = computed(() => store.trip!.crew)
  const isRidden = (of: Bike) => crew.value.some(({ bikeId }) => bikeId === of.id)

  /** Puts a rider on a bike; who rode it before rides it on. */
  function ride(rider: Rider, of: Bike) {
    if (rider.bikeId === of.id) return
    const next = crew.value.map((other) => (other.id === rider.id ? { ...other, bikeId: of.id } : other))
    store.edit(`${rider.name} rides ${of.name}`, { crew: next })
  }

  /** Riders of a bike keep it from being given away. */
  function removeBike(of: Bike) {
    if (isRidden(of)) return
    store.edit(`remove ${of.name}`, { bikes: bikes.value.filter(({ id }) => id !== of.id) })
    selection.bikeId = ''
  }

  return { bikes, bike, change, changeFastener, removeFastener, addBike, startFrom, removeBike, crew, isRidden, ride }
}
