<script setup lang="ts">
import type { CatalogueItem } from '#core/bench'
import type { Lacking } from '#core/unlock'
import { failureInWords, hoursInWords } from '#wording'
import { Plus } from '@lucide/vue'
import { watchDebounced } from '@vueuse/core'
import { catalogue } from '#catalogue'
import { computed, shallowRef } from 'vue'
import { useBench } from '../../composables/useBench'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'

/** Things that nobody has laid on the bench and that would be worth their grams: all that a fix lacks, together. */
const store = useTripStore()
const kit = useKitStore()
const { take } = useBench()
const { grams } = useView()
const { failures } = useVerdicts()

const most = 4
const found = shallowRef<Lacking[]>()
watchDebounced(
  () => kit.weighed,
  async (weighed) => {
    found.value = undefined
    if (!weighed?.kit) return
    const answer = await kit.whatIsLacking()
    if (kit.weighed === weighed) found.value = answer
  },
  { immediate: true, debounce: 500 },
)
const itemsOf = ({ items }: Lacking) =>
  items.flatMap(({ id, count }) => {
    const item = catalogue.items.find((candidate) => candidate.id === id)
    return item ? [{ item, count }] : []
  })
const named = (item: CatalogueItem, count: number) => (count > 1 ? `${count} × ${item.name}` : item.name)
const nameOf = (id: string) => store.trip?.bench.find((thing) => thing.id === id)?.name ?? id
const worthwhile = computed(() => (found.value ?? []).filter(({ worthH }) => worthH > 0).slice(0, most))
const answers = ({ events }: Lacking) => {
  const words = events.flatMap(({ event }) => {
    const failure = failures.value.get(event)
    return failure ? [failureInWords({ ...failure.note, wheel: null }, catalogue, store.trip?.bikes ?? [])] : []
  })
  return [...new Set(words)].slice(0, 3).join('; ')
}
</script>

<template>
  <section v-if="worthwhile.length" aria-label="What the bench lacks">
    <h3 class="text-sm font-semibold">What the bench lacks</h3>
    <ul class="mt-1 border-t border-line text-sm">
      <li v-for="lacking in worthwhile" :key="JSON.stringify(lacking.items)" class="border-b border-line py-1.5">
        <span class="flex items-start gap-2">
          <span class="min-w-0 flex-1">
            <strong
              >{{
                itemsOf(lacking)
                  .map(({ item, count }) => named(item, count))
                  .join(' + ')
              }}, {{ grams(lacking.massG) }}</strong
            >
            <span v-if="lacking.fromBench.length" class="block text-xs"
              >with {{ lacking.fromBench.map(({ id }) => nameOf(id)).join(' and ') }}, which lies there</span
            >
            <span class="block text-xs text-soft">{{ answers(lacking) }}</span>
          </span>
          <span class="figures text-right font-semibold text-petrol">{{ hoursInWords(lacking.savedH) }}</span>
        </span>
        <button
          type="button"
          class="button mt-1 min-h-7! text-sm"
          @click="take(itemsOf(lacking).flatMap(({ item, count }) => Array.from({ length: count }, () => item)))"
        >
          <Plus :size="14" aria-hidden="true" />{{
            itemsOf(lacking).length > 1 ? 'Lay them on the bench' : 'Lay it on the bench'
          }}
        </button>
      </li>
    </ul>
  </section>
</template>
