<script setup lang="ts">
import { computed } from 'vue'

/** The balance itself: the kit's grams on one pan, the hours it spares on the other. */
const props = defineProps<{ grams: string; hours: string; priceH: number; savedH: number }>()

const tilt = computed(() => {
  const sum = props.priceH + props.savedH
  return sum > 0 ? (11 * (props.savedH - props.priceH)) / sum : 0
})
const arm = 98
const rise = computed(() => Math.sin((tilt.value * Math.PI) / 180) * arm)
const reach = computed(() => Math.cos((tilt.value * Math.PI) / 180) * arm)
</script>

<template>
  <svg
    viewBox="0 0 280 104"
    class="w-full"
    role="img"
    :aria-label="`${grams} carried against ${hours} of walking spared`"
  >
    <path d="M140 34 131 92h18z" class="fill-ink" />
    <rect x="112" y="92" width="56" height="4" rx="1" class="fill-ink" />
    <g class="fill-none stroke-ink" stroke-width="3.2" stroke-linecap="round">
      <line :x1="140 - reach" :y1="34 - rise" :x2="140 + reach" :y2="34 + rise" />
    </g>
    <circle cx="140" cy="34" r="5.5" class="fill-brass" />
    <g :transform="`translate(${140 - reach} ${34 - rise})`">
      <path d="M0 0-22 24h44z" class="fill-none stroke-soft" stroke-width="0.9" />
      <path d="M-27 24h54l-6 7h-42z" class="fill-sand" />
    </g>
    <g :transform="`translate(${140 + reach} ${34 + rise})`">
      <path d="M0 0-22 24h44z" class="fill-none stroke-soft" stroke-width="0.9" />
      <path d="M-27 24h54l-6 7h-42z" class="fill-petrol" />
    </g>
    <text
      :x="140 - reach"
      :y="34 - rise + 45"
      text-anchor="middle"
      class="fill-ink font-mono text-[13px] font-semibold"
    >
      {{ grams }}
    </text>
    <text
      :x="140 + reach"
      :y="34 + rise + 45"
      text-anchor="middle"
      class="fill-ink font-mono text-[13px] font-semibold"
    >
      {{ hours }}
    </text>
  </svg>
</template>
