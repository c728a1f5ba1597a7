<script setup lang="ts">
import { wordsForChance, wordsForHours } from '~~/core/units'

/** The balance in one line, for screens too narrow for its panel. */
const kitStore = useKitStore()
const { grams } = useView()
const kit = computed(() => kitStore.reckoning?.kit)
</script>

<template>
  <button
    v-if="kit"
    type="button"
    class="flex w-full justify-between gap-3 border-b border-line bg-ground px-4 py-1.5 text-sm"
  >
    <span
      ><strong class="figures">{{ grams(kit.massG) }}</strong> carried</span
    >
    <span
      ><strong class="figures">{{ wordsForHours(kit.expectedH) }}</strong> on foot</span
    >
    <span
      ><strong class="figures">{{ wordsForChance(kit.rideThrough) }}</strong> no hour on foot</span
    >
  </button>
</template>
