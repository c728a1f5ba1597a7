import { bikeFrom } from '#catalogue'
import { assumedKind } from '#core/bike'
import { practised, riderSchema, unpractised, type Rider, type Skill } from '#core/crew'
import { withoutRider } from '#core/trip'
import { computed } from 'vue'
import { useTripStore } from '../stores/trip'

/** So many ride together at most. */
const mostRiders = 12

/** What may be said of a rider beside name, bike and hands. */
type Load = Pick<Rider, 'handMostN' | 'loadG' | 'carriesMostG' | 'carriesMostMl' | 'share'>

/** The riders of the trip, and what may be done to them: each a step that can be taken back. */
export function useRiders() {
  const store = useTripStore()
  const crew = computed(() => store.openTrip.crew)

  const replaced = (rider: Rider) => crew.value.map((other) => (other.id === rider.id ? rider : other))
  function change(rider: Rider, part: Partial<Rider>, label: string) {
    store.edit(label, { crew: replaced({ ...rider, ...part }) })
  }

  function rename(rider: Rider, text: string) {
    const name = text.trim()
    if (name !== '' && name !== rider.name) change(rider, { name }, `call ${rider.name} ${name}`)
  }

  /** Puts a rider on a bike; who rode it before rides it on. */
  function ride(rider: Rider, bike: { id: string; name: string }) {
    if (rider.bikeId !== bike.id) change(rider, { bikeId: bike.id }, `${rider.name} rides ${bike.name}`)
  }

  /** @param stopId where a rider joins the others or leaves them; null for the start, or the end */
  const join = (rider: Rider, stopId: string | null) => change(rider, { joins: stopId }, `where ${rider.name} joins`)
  const leave = (rider: Rider, stopId: string | null) => change(rider, { leaves: stopId }, `where ${rider.name} leaves`)

  const carry = (rider: Rider, part: Partial<Load>) => change(rider, part, `what ${rider.name} carries`)

  /** How often a rider has done repairs. What was said of one kind of work goes where the same is said of all. */
  function setHands(rider: Rider, hands: Skill) {
    change(rider, { hands, skills: differing(rider.skills, hands) }, `hands of ${rider.name}`)
  }

  /** How often a rider has done some kinds of work. */
  function setSkills(rider: Rider, levels: Readonly<Record<string, Skill>>) {
    const skills = differing({ ...rider.skills, ...levels }, rider.hands)
    change(rider, { skills }, `hands of ${rider.name}`)
  }

  /** What is said of one rider is said of another as well. */
  function copyHands(rider: Rider, from: Rider) {
    change(rider, { hands: from.hands, skills: from.skills }, `hands of ${rider.name} as of ${from.name}`)
  }

  /** @param on the day; null while that is open */
  function practise(rider: Rider, techniqueId: string, on: string | null = null) {
    store.edit(`${rider.name} practises`, { crew: replaced(practised(rider, techniqueId, on)) })
  }
  function practiseOn(rider: Rider, techniqueId: string, on: string | null) {
    const practice = rider.practice.map((each) => (each.technique === techniqueId ? { ...each, on } : each))
    change(rider, { practice }, `the day on which ${rider.name} practises`)
  }
  function leaveUnpractised(rider: Rider, techniqueId: string) {
    store.edit(`${rider.name} practises no more`, { crew: replaced(unpractised(rider, techniqueId)) })
  }

  /** One more rider, on a bike that nobody rides or on one more. */
  function add() {
    const { bikes } = store.openTrip
    const free = bikes.find(({ id }) => !crew.value.some(({ bikeId }) => bikeId === id))
    const bike = free ?? bikeFrom(assumedKind, crypto.randomUUID().slice(0, 8))
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
    if (crew.value.length > 1) store.edit(`${rider.name} stays at home`, withoutRider(store.openTrip, rider.id))
  }

  return {
    crew,
    mostRiders,
    rename,
    ride,
    join,
    leave,
    carry,
    setHands,
    setSkills,
    copyHands,
    practise,
    practiseOn,
    leaveUnpractised,
    add,
    remove,
  }
}

/** What is said of kinds of work that differ from what holds for all. */
const differing = (skills: Rider['skills'], hands: Skill) =>
  Object.fromEntries(Object.entries(skills).filter(([, level]) => level !== hands))
