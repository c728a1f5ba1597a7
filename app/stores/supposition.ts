import type { RoadView } from '#core/availability'
import { nth } from '#core/validation'
import type { Moved } from '#wording'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { useKitStore, type Chosen } from './kit'
import { useTripStore } from './trip'

/** How the trip stood when one began to suppose. */
interface Before {
  readonly chosen: Chosen | null
  readonly view: RoadView | null
}

/** What is supposed, against what is: the kit before and after, and what changes sides. */
export const useSupposition = defineStore('supposition', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const before = shallowRef<Before>()
  const isOn = computed(() => store.isSupposing && before.value !== undefined)
  // Whoever changes what is not theirs supposes it: one does not always begin by saying so.
  watch(
    () => store.isSupposing,
    (isSupposing) =>
      (before.value = isSupposing ? { chosen: kit.chosen, view: kit.analysis?.view ?? null } : undefined),
    { flush: 'sync' },
  )

  const countsOf = (chosen: Chosen | null | undefined) =>
    new Map(chosen?.built.ledger.items.map(({ id }, i) => [id, chosen.kit ? nth(chosen.kit.counts, i) : 0]))
  /** Pieces that come along or stay at home by what is supposed. */
  const moved = computed<readonly Moved[]>(() => {
    if (!isOn.value) return []
    const [earlier, now] = [countsOf(before.value?.chosen), countsOf(kit.chosen)]
    const nameOf = (id: string) => store.trip?.bench.find((thing) => thing.id === id)?.name ?? id
    return [...new Set([...earlier.keys(), ...now.keys()])]
      .map((id) => ({ name: nameOf(id), by: (now.get(id) ?? 0) - (earlier.get(id) ?? 0) }))
      .filter(({ by }) => by !== 0)
  })

  return { before, isOn, moved, begin: store.suppose, letGo: store.letGo, keep: store.keep }
})
