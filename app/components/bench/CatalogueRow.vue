<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { CatalogueItem } from '#core/bench'
import { capabilitiesInWords } from '#wording'
import { Minus, Plus } from '@lucide/vue'
import { useView } from '../../stores/view'

/** One thing of the catalogue: how many of it lie on the bench, one more, one fewer. */
defineProps<{ item: CatalogueItem; count: number; why?: string }>()
defineEmits<{ take: []; putBack: [] }>()
const { grams } = useView()
const most = 99
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
      <template v-if="count">
        <button
          type="button"
          class="button button-bare"
          :aria-label="`Put one ${item.name} back`"
          @click="$emit('putBack')"
        >
          <Minus :size="15" aria-hidden="true" />
        </button>
        <span class="figures w-7 text-center font-semibold text-petrol" role="status">{{ count }}</span>
        <button
          type="button"
          class="button button-bare"
          :disabled="count >= most"
          :aria-label="`Take ${item.name}`"
          @click="$emit('take')"
        >
          <Plus :size="15" aria-hidden="true" />
        </button>
      </template>
      <button v-else type="button" class="button" :aria-label="`Take ${item.name}`" @click="$emit('take')">Take</button>
    </span>
  </li>
</template>
