import { catalogue } from '#catalogue'
import { thingFrom, type Thing } from '#core/bench'
import { mostCandidates, type Candidate, type CandidateReport } from '#core/candidates'
import { conditionOn, laidFromShed, type OwnedThing } from '#core/shed'
import { StorageSerializers, useLocalStorage, watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { toolsKeptAs } from '../session/kept-choices'
import { useKitStore } from './kit'
import { useShed } from './shed'
import { useTripStore } from './trip'

/** Where a tool is from that is looked at. */
type Source = 'bench' | 'shed' | 'kind'
/** A tool by where it is from: "kind:folding-17". */
export type ToolRef = `${Source}:${string}`

/** Sets of tools to begin with, from the catalogue. */
export const usualSets: readonly (readonly ToolRef[])[] = [
  ['kind:folding-17'],
  ['kind:bit-set', 'kind:breaker'],
  ['kind:key-set', 'kind:torx-25', 'kind:breaker'],
]

/** Tools and sets of them that somebody compares for a trip; which, this device remembers. */
export const useCandidates = defineStore('candidates', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const shed = useShed()
  const kept = useLocalStorage<Record<string, ToolRef[][]>>(toolsKeptAs, {}, { serializer: StorageSerializers.object })
  const sets = computed<readonly (readonly ToolRef[])[]>(() => kept.value[store.id] ?? [])
  function put(next: readonly (readonly ToolRef[])[]) {
    const own = next.slice(0, mostCandidates).map((tools) => [...tools])
    kept.value = { ...kept.value, [store.id]: own }
  }

  /** A tool as it would lie on the bench; undefined where it is not there any more. */
  function thingOf(tool: ToolRef): Thing | undefined {
    const [from, id] = [tool.slice(0, tool.indexOf(':')), tool.slice(tool.indexOf(':') + 1)]
    if (from === 'bench') return store.trip?.bench.find((thing) => thing.id === id)
    if (from === 'shed') {
      const owned = shed.byId.value.get(id)
      const day = (store.trip?.ride.start ?? new Date().toISOString()).slice(0, 10)
      return owned && laidFromShed({ ...owned, count: 1 }, tool, conditionOn(owned, day, catalogue.families))
    }
    const item = catalogue.items.find((each) => each.id === id)
    return item && thingFrom(item, tool)
  }
  /** The thing of the shed that a tool is; undefined where it is not owned. */
  function ownedOf(tool: ToolRef): OwnedThing | undefined {
    const id = tool.startsWith('shed:') ? tool.slice('shed:'.length) : thingOf(tool)?.shed
    return id ? shed.byId.value.get(id) : undefined
  }
  const candidates = computed(() =>
    sets.value.map((tools): Candidate => {
      const things = tools.flatMap((tool) => thingOf(tool) ?? [])
      return { name: things.map(({ name }) => name).join(' + ') || 'nothing', things }
    }),
  )

  const reports = shallowRef<readonly CandidateReport[]>([])
  const isBusy = ref(false)
  let asked = 0
  /** While somebody looks, all is weighed anew whenever the plan or what is compared is another. */
  function watchPlan() {
    watchDebounced([() => kit.chosen, candidates], () => void find(), { immediate: true, debounce: 300 })
  }
  async function find() {
    const mine = ++asked
    reports.value = []
    const { trip } = store
    isBusy.value = candidates.value.length > 0 && trip !== undefined && trip.road.points.length > 0
    if (!trip || !isBusy.value) return
    await kit.findReports(trip, candidates.value, (report) => {
      if (mine === asked) reports.value = [...reports.value, report]
    })
    if (mine === asked) isBusy.value = false
  }
  return { sets, put, thingOf, ownedOf, candidates, reports, isBusy, watchPlan }
})
