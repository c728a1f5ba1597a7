import type { Standing } from '#core/stances'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useKitStore } from './kit'
import { useTripStore } from './trip'

/** What each school of thought would pack on this road, as they are weighed. */
export const useStances = defineStore('stances', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const found = shallowRef<readonly Standing[]>([])
  const isBusy = ref(true)
  let asked = 0

  /** While somebody looks, all is weighed anew whenever the kit or what it is chosen for is another. */
  function watchKit() {
    isBusy.value = true
    watchDebounced(
      () => kit.chosen,
      (chosen) => {
        if (chosen) void find(chosen.kit !== null)
      },
      { immediate: true, debounce: 400 },
    )
  }

  async function find(isPossible: boolean) {
    const mine = ++asked
    found.value = []
    isBusy.value = isPossible
    if (!isPossible) return
    await kit.findStandings(store.openTrip, (standing) => {
      if (mine === asked) found.value = [...found.value, standing]
    })
    if (mine === asked) isBusy.value = false
  }

  /** How many pieces of each thing a kit has more, or fewer, than that of the plan. */
  const moved = computed(() => {
    const plan = found.value.find(({ stance }) => stance === null)
    const bench = store.trip?.bench ?? []
    return new Map(
      found.value.map(({ stance, kit: { counts } }) => [
        stance,
        bench.flatMap(({ name }, i) => {
          const by = (counts[i] ?? 0) - (plan?.kit.counts[i] ?? 0)
          return by === 0 ? [] : [{ name, by }]
        }),
      ]),
    )
  })

  return { found, isBusy, moved, watchKit }
})
