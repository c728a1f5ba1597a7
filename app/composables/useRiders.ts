import { bikeFrom } from '#catalogue'
import { riderSchema, type Rider, type Skill } from '#core/crew'
import { computed } from 'vue'
import { useTripStore } from '../stores/trip'

/** So many ride together at most. */
const mostRiders = 12

/** The riders of the trip, and what may be done to them: each a step that can be taken back. */
export function useRiders() {
  const store = useTripStore()
  const crew = computed(() => store.openTrip.crew)

  function change(rider: Rider, part: Partial<Rider>, label: string) {
    store.edit(label, { crew: crew.value.map((other) => (other.id === rider.id ? { ...other, ...part } : other)) })
  }

  function rename(rider: Rider, text: string) {
    const name = text.trim()
    if (name !== '' && name !== rider.name) change(rider, { name }, `call ${rider.name} ${name}`)
  }

  /** Puts a rider on a bike; who rode it before rides it on. */
  function ride(rider: Rider, bike: { id: string; name: string }) {
    if (rider.bikeId !== bike.id) change(rider, { bikeId: bike.id }, `${rider.name} rides ${bike.name}`)
  }

  /** How often a rider has done repairs. What was said of one kind of work goes where the same is said of all. */
  function setHands(rider: Rider, hands: Skill) {
    const skills = Object.fromEntries(Object.entries(rider.skills).filter(([, level]) => level !== hands))
    change(rider, { hands, skills }, `hands of ${rider.name}`)
  }

  /** @param level null for what holds for all work of this rider */
  function setSkill(rider: Rider, techniqueId: string, level: Skill | null) {
    const { [techniqueId]: _, ...others } = rider.skills
    change(rider, { skills: level === null ? others : { ...others, [techniqueId]: level } }, `hands of ${rider.name}`)
  }

  /** One more rider, on a bike that nobody rides or on one more. */
  function add() {
    const { bikes } = store.openTrip
    const free = bikes.find(({ id }) => !crew.value.some(({ bikeId }) => bikeId === id))
    const bike = free ?? bikeFrom('gravel', crypto.randomUUID().slice(0, 8))
    const rider = riderSchema.parse({
      id: crypto.randomUUID().slice(0, 8),
      name: `Rider ${crew.value.length + 1}`,
      bikeId: bike.id,
    })
    store.edit(`add ${rider.name}`, { crew: [...crew.value, rider], ...(free ? {} : { bikes: [...bikes, bike] }) })
    return rider.id
  }

  /** Somebody goes on: the last rider stays. */
  function remove(rider: Rider) {
    if (crew.value.length > 1)
      store.edit(`${rider.name} stays at home`, { crew: crew.value.filter(({ id }) => id !== rider.id) })
  }

  return { crew, mostRiders, rename, ride, setHands, setSkill, add, remove }
}
