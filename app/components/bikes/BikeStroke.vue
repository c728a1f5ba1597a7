<script setup lang="ts">
import type { Stroke } from '../../drawing/bike-side-view'

/** A stroke of a drawn bike, in the colour of what it is made of, or in that of what is picked. */
defineProps<{ stroke: Stroke; isPicked?: boolean }>()
const colours: Readonly<Record<Stroke['material'], string>> = {
  tube: 'text-petrol',
  rubber: 'text-ink',
  metal: 'text-soft',
  wire: 'text-soft',
  soft: 'text-ink',
}
</script>

<template>
  <path
    :d="stroke.path"
    :class="isPicked ? 'text-brass' : colours[stroke.material]"
    :fill="stroke.widthMm ? 'none' : 'currentColor'"
    :stroke="stroke.widthMm ? 'currentColor' : 'none'"
    :stroke-width="stroke.widthMm"
    stroke-linejoin="round"
    stroke-linecap="round"
    :opacity="stroke.material === 'rubber' ? 0.85 : 1"
  />
</template>
