<script setup lang="ts">
import type { CoverageState } from '../../stores/coverage'

/** How something stands, as a shape: full, half, hollow, crossed out, or a bar for what may wait. */
withDefaults(defineProps<{ coverage: CoverageState; size?: number }>(), { size: 12 })
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 12 12" aria-hidden="true" class="shrink-0">
    <rect v-if="coverage === 'turned'" x="1" y="1" width="10" height="10" rx="1" class="fill-petrol" />
    <g v-else-if="coverage === 'awkward'" class="stroke-brass" stroke-width="1.5">
      <rect x="1.75" y="1.75" width="8.5" height="8.5" rx="1" fill="none" />
      <path d="M2 2v8.2h8.2z" class="fill-brass" stroke="none" />
    </g>
    <g v-else-if="coverage === 'borrowed'" fill="none" class="stroke-brass" stroke-width="1.75">
      <rect x="1.75" y="1.75" width="8.5" height="8.5" rx="1" stroke-dasharray="2.4 1.6" />
    </g>
    <path v-else-if="coverage === 'waits'" d="M2 6h8" class="stroke-soft" stroke-width="2" />
    <path v-else d="M2 2l8 8M10 2l-8 8" class="stroke-lacking" stroke-width="2.5" />
  </svg>
</template>
