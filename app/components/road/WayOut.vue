<script setup lang="ts">
import { exitKinds, type Stop } from '#core/supply'
import { useStopEdits } from '../../composables/useStopEdits'

/** How the ride can be left at a stop. */
defineProps<{ stop: Stop }>()
const { change } = useStopEdits()
const exitOf = (event: Event) => ((event.target as HTMLSelectElement).value || null) as Stop['exit']
</script>

<template>
  <select
    class="field min-h-8! px-1!"
    :value="stop.exit ?? ''"
    :aria-label="`Way out at ${stop.name}`"
    @change="change(stop, { exit: exitOf($event) }, `way out at ${stop.name}`)"
  >
    <option value="">none</option>
    <option v-for="exit in exitKinds" :key="exit" :value="exit">{{ exit }}</option>
  </select>
</template>
