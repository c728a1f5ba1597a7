<script setup lang="ts">
import type { Estimate } from '#core/learn'
import { computed } from 'vue'

/** What was believed above, and what is now below: a bar from where to where, and a stroke at the mean. */
const props = defineProps<{ before: Estimate; after: Estimate }>()
const most = computed(() => Math.max(props.before.high, props.after.high, props.before.mean, props.after.mean) * 1.05)
const rows = computed(() =>
  [props.before, props.after].map(({ low, high, mean }) => ({
    left: `${(100 * low) / most.value}%`,
    width: `${(100 * Math.max(high - low, 0)) / most.value}%`,
    mean: `${(100 * mean) / most.value}%`,
  })),
)
</script>

<template>
  <div class="w-full space-y-1" aria-hidden="true">
    <div v-for="(row, i) in rows" :key="i" class="relative h-2 bg-well">
      <span
        class="absolute inset-y-0"
        :class="i === 0 ? 'bg-sand' : 'bg-petrol'"
        :style="{ left: row.left, width: row.width }"
      />
      <span class="absolute -inset-y-0.5 w-0.5 bg-ink" :style="{ left: row.mean }" />
    </div>
  </div>
</template>
