<script setup lang="ts">
import type { StakeOnLeg } from '#core/trip-ledger'
import { computed } from 'vue'
import { useView } from '../../stores/view'

/** Where along the road the hours of a failure are at stake: the darker a leg, the more to each kilometre. */
const props = defineProps<{ stakes: readonly StakeOnLeg[] }>()
const { stretch } = useView()

const lengthKm = computed(() => props.stakes.at(-1)?.toKm ?? 1)
const density = ({ fromKm, toKm, hours }: StakeOnLeg) => (toKm > fromKm ? hours / (toKm - fromKm) : 0)
const most = computed(() => Math.max(...props.stakes.map(density), 1e-12))
const worst = computed(() => [...props.stakes].sort((a, b) => b.hours - a.hours)[0])
</script>

<template>
  <svg
    viewBox="0 0 100 6"
    preserveAspectRatio="none"
    class="h-2.5 w-full border border-line bg-paper"
    role="img"
    :aria-label="worst ? `most is at stake on ${stretch(worst.fromKm, worst.toKm)}` : 'nothing is at stake'"
  >
    <rect
      v-for="leg in stakes"
      :key="leg.fromKm"
      :x="(100 * leg.fromKm) / lengthKm"
      :width="(100 * (leg.toKm - leg.fromKm)) / lengthKm"
      y="0"
      height="6"
      class="fill-lacking"
      :opacity="density(leg) / most"
    />
  </svg>
</template>
