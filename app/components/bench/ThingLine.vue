<script setup lang="ts">
import { mostOfAThing, type Thing } from '#core/bench'
import { Pencil, Scale, Trash2 } from '@lucide/vue'
import MeasureField from '../common/MeasureField.vue'
import CountStepper from './CountStepper.vue'

/** One thing as a line of a list: what it is and does, and beside that what is changed most often. */
defineProps<{
  thing: Pick<Thing, 'name' | 'massG' | 'count'>
  /** What it does, in words. */
  does: string
  /** What taking it away is called. */
  removeWords: string
  isWeighed?: boolean
}>()
defineEmits<{ weigh: [massG: number]; count: [count: number]; edit: []; remove: [] }>()
</script>

<template>
  <div class="thing-line border-b border-line px-4 py-1.5">
    <span class="whole min-w-0">
      <span class="block font-semibold">{{ thing.name }}</span>
      <slot name="name" />
    </span>
    <span class="whole min-w-0 text-sm">
      <span class="block" :class="does ? '' : 'text-brass'">{{ does || 'nothing said yet: answers no claim' }}</span>
      <slot name="does" />
    </span>
    <span class="flex items-center gap-1">
      <MeasureField
        class="min-w-0 flex-1"
        :label="`Mass of ${thing.name}`"
        label-hidden
        :model-value="thing.massG"
        amount="mass"
        :least="0.1"
        :most="20000"
        @update:model-value="$event !== null && $emit('weigh', $event)"
      />
      <Scale
        :size="15"
        :class="isWeighed ? 'text-petrol' : 'invisible'"
        role="img"
        :aria-hidden="!isWeighed"
        aria-label="weighed"
      />
    </span>
    <CountStepper
      :count="thing.count"
      :least="1"
      :fewer="`One ${thing.name} fewer`"
      :more="`One ${thing.name} more`"
      @fewer="$emit('count', thing.count - 1)"
      @more="$emit('count', Math.min(mostOfAThing, thing.count + 1))"
    />
    <span class="flex justify-end">
      <button type="button" class="button button-bare" :aria-label="`Change ${thing.name}`" @click="$emit('edit')">
        <Pencil :size="15" aria-hidden="true" />
      </button>
      <button type="button" class="button button-bare" :aria-label="removeWords" @click="$emit('remove')">
        <Trash2 :size="15" aria-hidden="true" />
      </button>
    </span>
  </div>
</template>
