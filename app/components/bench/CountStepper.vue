<script setup lang="ts">
import { mostOfAThing } from '#core/bench'
import { Minus, Plus } from '@lucide/vue'

/** How many there are of a thing: one fewer, one more. */
defineProps<{ count: number; least: number; fewer: string; more: string }>()
defineEmits<{ fewer: []; more: [] }>()
</script>

<template>
  <span class="flex items-center justify-center">
    <button
      type="button"
      class="button button-bare"
      :disabled="count <= least"
      :aria-label="fewer"
      @click="$emit('fewer')"
    >
      <Minus :size="14" aria-hidden="true" />
    </button>
    <span class="figures w-6 text-center font-semibold">{{ count }}</span>
    <button
      type="button"
      class="button button-bare"
      :disabled="count >= mostOfAThing"
      :aria-label="more"
      @click="$emit('more')"
    >
      <Plus :size="14" aria-hidden="true" />
    </button>
  </span>
</template>
