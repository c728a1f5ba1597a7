import type { Trip } from '#core/trip'
import { watchDebounced } from '@vueuse/core'
import { wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { LookBackService, LookedBack, NextKit } from '../workers/look-back'
import { useTripStore } from './trip'
import { useTrips } from './trips'

/** More trips than anybody looks back on at once. */
const mostTrips = 40

/** What trips that were ridden teach: the one that is open, or all of an account. */
export const useLookBack = defineStore('look-back', () => {
  const store = useTripStore()
  const found = shallowRef<LookedBack>()
  const next = shallowRef<NextKit>()
  const failure = ref('')
  const isLooking = ref(false)
  /** Whether all trips are looked back on. */
  const isOverAll = ref(false)
  let working: { worker: Worker; service: Remote<LookBackService> } | undefined
  let others: { id: string; trips: readonly Trip[] } | undefined
  let asked = 0

  function service(): Remote<LookBackService> {
    if (!working) {
      const worker = new Worker(new URL('../workers/look-back.worker.ts', import.meta.url), { type: 'module' })
      worker.onerror = (event) => (failure.value = event.message || 'The trips could not be looked back on.')
      working = { worker, service: wrap<LookBackService>(worker) }
    }
    return working.service
  }

  const hasSetOff = computed(() => store.trip?.log.some(({ kind }) => kind === 'set off') ?? false)

  function watchTrip(): void {
    found.value = next.value = undefined
    watchDebounced([() => store.trip, isOverAll], () => void look(), { immediate: true, debounce: 200 })
    onScopeDispose(() => {
      asked++
      working?.worker.terminate()
      working = undefined
      others = undefined
      isOverAll.value = false
    })
  }

  async function look(): Promise<void> {
    const { trip } = store
    if (!trip || (!hasSetOff.value && !isOverAll.value)) return
    const mine = ++asked
    isLooking.value = true
    failure.value = ''
    try {
      const trips = isOverAll.value ? [...(await readOthers()), trip] : [trip]
      if (mine !== asked) return
      const seen = await service().lookBack(trips)
      if (mine !== asked) return
      found.value = seen
      const kit = await service().kitBy(trip, seen.lessons.values)
      if (mine === asked) next.value = kit
    } catch (error) {
      if (mine === asked) failure.value = error instanceof Error ? error.message : String(error)
    }
    if (mine === asked) isLooking.value = false
  }

  /** All others of the account that can be read; they are read once. */
  async function readOthers(): Promise<readonly Trip[]> {
    if (others?.id === store.id) return others.trips
    const list = (await useTrips().list()).filter(({ id }) => id !== store.id).slice(0, mostTrips)
    const trips: Trip[] = []
    for (const { id } of list) trips.push(await useTrips().read(id))
    others = { id: store.id, trips: trips.filter(({ log }) => log.length > 0) }
    return others.trips
  }

  return { found, next, failure, isLooking, isOverAll, hasSetOff, watchTrip }
})
