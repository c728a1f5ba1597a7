import type { PracticeWorth } from '#core/practice'
import { leastToldH } from '#core/ways'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { useKitStore } from './kit'
import { useTripStore } from './trip'

/** What each evening of practice is worth on this road, with the kit as it is. */
export const usePractice = defineStore('practice', () => {
  const store = useTripStore()
  const kit = useKitStore()
  /** Nothing while it is being reckoned. */
  const worths = shallowRef<readonly PracticeWorth[]>()

  function watchKit() {
    worths.value = undefined
    watchDebounced(
      () => kit.chosen,
      async (chosen) => {
        worths.value = undefined
        if (!chosen?.kit) return
        const answer = await kit.practiceWorths(store.openTrip)
        if (kit.chosen === chosen) worths.value = answer
      },
      { immediate: true, debounce: 400 },
    )
  }

  const planned = computed(() => worths.value?.filter(({ isPlanned }) => isPlanned) ?? [])
  /** What is not planned and brings something, the best first. */
  const worthwhile = computed(
    () => worths.value?.filter(({ isPlanned, savedH }) => !isPlanned && savedH >= leastToldH) ?? [],
  )
  const bestOf = (techniqueId: string) => worthwhile.value.find((worth) => worth.techniqueId === techniqueId)

  return { worths, planned, worthwhile, bestOf, watchKit }
})
