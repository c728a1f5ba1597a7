<script setup lang="ts">
import type { BeamScale } from '../../drawing/beam-scale'

/** The two sides of a beam: what the grams cost, and the hours spared; hatched where the thing stays. */
const props = defineProps<{ priceH: number; hours: number; taken: boolean; scale: BeamScale }>()
/** A bar as a share of its own side. */
const percent = (hours: number, side: number) => `${(100 * props.scale.lengthOf(hours)) / side}%`
</script>

<template>
  <span
    class="grid items-center"
    :style="{ gridTemplateColumns: `${scale.left}fr 2px ${1 - scale.left}fr` }"
    aria-hidden="true"
  >
    <span class="flex h-3.5 justify-end">
      <span class="h-full shrink-0 rounded-l-[2px] bg-sand" :style="{ width: percent(priceH, scale.left) }" />
    </span>
    <span class="h-5 bg-ink" />
    <span class="h-3.5">
      <span
        class="block h-full rounded-r-[2px]"
        :class="taken ? 'bg-petrol' : 'hatched'"
        :style="{ width: percent(hours, 1 - scale.left) }"
      />
    </span>
  </span>
</template>

<style scoped>
.hatched {
  border: 1px solid var(--petrol);
  background: repeating-linear-gradient(135deg, var(--petrol) 0 1px, transparent 1px 4px);
}
</style>
