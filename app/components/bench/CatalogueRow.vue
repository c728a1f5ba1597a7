<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { CatalogueItem } from '#core/bench'
import { capabilitiesInWords } from '#wording'
import { useView } from '../../stores/view'
import CountStepper from './CountStepper.vue'

/** One thing of the catalogue: how many of it lie on the bench, one more, one fewer. */
defineProps<{ item: CatalogueItem; count: number; why?: string }>()
defineEmits<{ take: []; putBack: [] }>()
const { grams } = useView()
</script>

<template>
  <li class="flex items-center gap-3 border-b border-line py-1">
    <span class="min-w-0 flex-1">
      <span class="block" :class="count ? 'font-semibold' : ''">{{ item.name }}</span>
      <span class="block text-xs text-soft">{{
        capabilitiesInWords(item, catalogue).join(', ') || 'answers no claim'
      }}</span>
      <span v-if="why" class="block text-xs text-brass">{{ why }}</span>
    </span>
    <span class="figures text-sm text-soft">{{ grams(item.massG) }}</span>
    <span class="flex w-28 shrink-0 items-center justify-end">
      <CountStepper
        v-if="count"
        :count="count"
        :least="0"
        :fewer="`Put one ${item.name} back`"
        :more="`Take ${item.name}`"
        @fewer="$emit('putBack')"
        @more="$emit('take')"
      />
      <button v-else type="button" class="button" :aria-label="`Take ${item.name}`" @click="$emit('take')">Take</button>
    </span>
  </li>
</template>
