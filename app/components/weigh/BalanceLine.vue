<script setup lang="ts">
import { chanceInWords, hoursInWords } from '#wording'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'

/** The balance in one line, for screens too narrow for its panel. */
const kitStore = useKitStore()
const { grams } = useView()
const kit = computed(() => kitStore.told?.kit)
</script>

<template>
  <button
    v-if="kit"
    type="button"
    data-balance
    :aria-busy="kitStore.busy || kitStore.weighing"
    class="flex w-full items-center justify-between gap-3 border-b border-line bg-ground px-4 py-1.5 text-sm pointer-coarse:min-h-11"
  >
    <span
      ><strong class="figures">{{ grams(kit.massG) }}</strong> carried</span
    >
    <span
      ><strong class="figures">{{ hoursInWords(kit.walkH) }}</strong> on foot</span
    >
    <span
      ><strong class="figures">{{ chanceInWords(kit.stranded) }}</strong> stranded</span
    >
  </button>
  <p
    v-else-if="kitStore.busy || kitStore.weighing"
    role="status"
    class="border-b border-line bg-ground px-4 py-1.5 text-sm text-soft"
  >
    Reckoning …
  </p>
</template>
