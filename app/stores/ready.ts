import { dueDay, evening, isForTheRoad, ownTasks, standingOn, taskOf, type ReadyTask, type Standing } from '#core/ready'
import { getLocalTimeZone, today } from '@internationalized/date'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ReadyList } from '../workers/wayfinder'
import { useKitStore } from './kit'
import { useTripStore } from './trip'

/** A task as it stands on the day on which the list is seen. */
export interface SeenTask extends ReadyTask {
  readonly standing: Standing
  readonly due: string | null
  /** Hours on the road that leaving it undone costs; undefined while nobody has weighed it. */
  readonly undoneH: number | undefined
}

/** Today, by the calendar on the wall where one is. */
const todayHere = (): string => today(getLocalTimeZone()).toString()

/** All that is to be done before the ride, and what hangs on it. */
export const useReady = defineStore('ready', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const list = shallowRef<ReadyList>()
  const undoneH = shallowRef<ReadonlyMap<string, number>>(new Map())
  const failure = ref('')
  const isListing = ref(false)
  const isWeighing = ref(false)
  /** The day on which the list is seen: today, where nobody has asked for another. */
  const seenOn = ref(todayHere())
  /** How long an evening is, in minutes. */
  const eveningMin = ref(120)
  let asked = 0
  let weighed = 0
  let tripId = ''
  /** What the tasks were weighed by last. */
  let weighedBy = ''

  /** What riders put on the list themselves stands there at once; the rest is made anew a moment later. */
  const listed = computed<readonly ReadyTask[]>(() =>
    list.value ? [...list.value.tasks.filter(({ about }) => about.kind !== 'own'), ...ownTasks(store.openTrip)] : [],
  )
  /** So does what was ticked or put off. */
  const tasks = computed<readonly SeenTask[]>(() =>
    listed.value.map((task) => {
      const { state, on, by } = taskOf(store.openTrip, task.about)
      const who = task.isAnybodys && store.openTrip.crew.some(({ id }) => id === by) ? by : task.who
      const now = { ...task, state, on, who }
      return {
        ...now,
        standing: standingOn(now, seenOn.value),
        due: dueDay(now),
        undoneH: undoneH.value.get(task.key),
      }
    }),
  )
  const departure = computed(() => store.trip?.ride.start?.slice(0, 10) ?? null)

  /** What can still be done on the evening of the day on which the list is seen. */
  const tonight = computed(() => {
    const crew = store.openTrip.crew.map(({ id }) => id)
    const weighedTasks = tasks.value.map((task) => ({ ...task, undoneH: task.undoneH ?? 0 }))
    return evening(weighedTasks, crew, eveningMin.value, seenOn.value)
  })

  /** While a change is on its way to the kit, it is waited for: the list comes with it. */
  const isKitAtRest = computed(() => !kit.busy && (!kit.weighing || kit.chosenForNow !== null))

  const partsOf = () => {
    const { trip } = store
    return trip && [trip.bikes, trip.crew, trip.stops, trip.bench, trip.home, trip.ride, trip.dials, trip.road]
  }

  /** While somebody looks, the list is made anew whenever the plan or the kit is another. */
  function watchPlan(): void {
    if (tripId !== store.id) {
      list.value = undefined
      undoneH.value = new Map()
    }
    tripId = store.id
    // What was being weighed was given up with its trip, and another trip may look the same.
    weighedBy = ''
    isWeighing.value = false
    seenOn.value = todayHere()
    watchDebounced([partsOf, isKitAtRest, () => kit.chosenForNow?.kit], () => void makeList(), {
      immediate: true,
      debounce: 250,
    })
  }

  async function makeList(): Promise<void> {
    if (!store.trip || !isKitAtRest.value) return
    const mine = ++asked
    isListing.value = true
    failure.value = ''
    try {
      const found = await kit.readyList(store.openTrip)
      if (mine !== asked) return
      list.value = found
      isListing.value = false
      await weigh()
    } catch (error) {
      if (mine === asked) failure.value = error instanceof Error ? error.message : String(error)
    }
    if (mine === asked) isListing.value = false
  }

  /** What leaving something undone costs hangs on the ledger, the kit and the list; a tick alone changes none of it. */
  async function weigh(): Promise<void> {
    const now = kit.chosenForNow
    const found = list.value
    if (!now?.kit || !found) return
    const counting = found.tasks.filter(({ about }) => isForTheRoad(about))
    const by = [now.built.number, now.kit.counts, counting.map(({ key }) => key)]
    if (JSON.stringify(by) === weighedBy) return
    weighedBy = JSON.stringify(by)
    const mine = ++weighed
    isWeighing.value = true
    const next = new Map<string, number>()
    await kit.findTaskWorths(store.openTrip, counting, (worth) => {
      if (mine !== weighed) return
      next.set(worth.key, worth.undoneH)
      undoneH.value = new Map([...undoneH.value, [worth.key, worth.undoneH]])
    })
    if (mine !== weighed) return
    undoneH.value = next
    isWeighing.value = false
  }
  return {
    tasks,
    tonight,
    promise: computed(() => list.value?.promise ?? null),
    departure,
    seenOn,
    eveningMin,
    isListing,
    isWeighing,
    failure,
    watchPlan,
  }
})
