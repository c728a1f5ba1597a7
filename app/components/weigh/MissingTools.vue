<script setup lang="ts">
import { defined } from '#core/validation'
import type { MissingTool } from '#core/choose'
import type { StuckFix } from '#core/trip-ledger'
import { fixInWords, hoursInWords } from '#wording'
import { Plus } from '@lucide/vue'
import { watchDebounced } from '@vueuse/core'
import { catalogue } from '#catalogue'
import { computed, shallowRef } from 'vue'
import { useBench } from '../../composables/useBench'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'

/** Fixes that fail for want of a tool, and the lightest thing that would unlock them, with what it would be worth. */
const props = defineProps<{ stuck: readonly StuckFix[] }>()
const store = useTripStore()
const kit = useKitStore()
const { take } = useBench()
const { grams } = useView()

const found = shallowRef<MissingTool[]>()
watchDebounced(
  () => kit.analysis?.built,
  async (built) => {
    found.value = undefined
    if (!built) return
    const answer = await kit.missingTools()
    if (kit.analysis?.built === built) found.value = answer
  },
  { immediate: true, debounce: 500 },
)
const isOne = (a: StuckFix, b: StuckFix) =>
  a.fix === b.fix && a.bike === b.bike && a.wheel === b.wheel && a.hazard === b.hazard
/** The tools that unlock one of these fixes, and of what they unlock these. */
const unlocking = computed(() =>
  (found.value ?? [])
    .map((unlock) => ({
      ...unlock,
      fixes: unlock.fixes.filter((fix) => props.stuck.some((candidate) => isOne(candidate, fix))),
    }))
    .filter(({ fixes }) => fixes.length > 0)
    .slice(0, 3),
)
const itemOf = (id: string) => defined(catalogue.items.find((item) => item.id === id))
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id
const inWords = ({ fix, bike, fasteners }: StuckFix) =>
  `${fixInWords(fix, catalogue)} (${bikeName(bike)}: nothing turns ${fasteners.map(({ name }) => name.toLowerCase()).join(', ')})`
const unique = (fixes: readonly StuckFix[]) => [...new Set(fixes.map(inWords))]
</script>

<template>
  <section aria-label="Kept away by a missing tool">
    <h3 class="text-sm font-semibold">Kept away by a missing tool</h3>
    <ul v-if="unlocking.length" class="mt-1 border-t border-line text-sm">
      <li v-for="{ item, massG, fixes, worthH } in unlocking" :key="item" class="border-b border-line py-1.5">
        <span class="flex items-start gap-2">
          <span class="min-w-0 flex-1">
            <strong>{{ itemOf(item).name }}, {{ grams(massG) }}</strong>
            <span class="block text-xs text-soft">{{ unique(fixes).slice(0, 3).join('; ') }}</span>
          </span>
          <span class="figures text-right font-semibold" :class="worthH > 0 ? 'text-petrol' : 'text-soft'">{{
            worthH > 0 ? hoursInWords(worthH) : 'not worth it'
          }}</span>
        </span>
        <button type="button" class="button mt-1 min-h-7! text-sm" @click="take([itemOf(item)])">
          <Plus :size="14" aria-hidden="true" />Lay it on the bench
        </button>
      </li>
    </ul>
    <ul v-else class="mt-1 text-xs text-soft">
      <li v-for="line in unique(stuck).slice(0, 3)" :key="line">{{ line }}</li>
      <li v-if="found">Nothing in the catalogue would turn it.</li>
    </ul>
  </section>
</template>
