<script setup lang="ts" generic="T extends Abilities & Bulky & { name: string; count: number; note: string }">
import type { z } from 'zod'
import { useDraft } from '../../composables/useDraft'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'
import AbilityFields, { type Abilities } from './AbilityFields.vue'
import BulkFields, { type Bulky } from './BulkFields.vue'

/** A thing in full, in a form: what every thing has, and in between what the place that it lies in knows besides. */
const props = defineProps<{
  thing: T
  schema: z.ZodType<T>
  title: string
  leaveWords: string
  keepWords: string
}>()
const emit = defineEmits<{ close: []; keep: [thing: T] }>()
defineSlots<{ figures(given: { draft: T }): unknown; more(given: { draft: T }): unknown }>()

const { draft, lines, keep } = useDraft(props.schema, props.thing)
function put(thing: T): string[] {
  emit('keep', thing)
  return []
}
function change(part: Partial<T>): void {
  Object.assign(draft.value, part)
}
</script>

<template>
  <BaseDialog open :title="title" @close="$emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="keep($event, put)">
      <label class="block text-sm text-soft"
        >Name
        <input v-model="draft.name" class="field mt-1 text-ink" maxlength="120" autocomplete="off" />
      </label>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField
          label="One weighs"
          :model-value="draft.massG"
          amount="mass"
          :least="0.1"
          :most="20000"
          @update:model-value="$event !== null && change({ massG: $event } as Partial<T>)"
        />
        <label class="block text-sm text-soft"
          >How many
          <input
            v-model.number="draft.count"
            type="number"
            min="1"
            max="99"
            class="field figures mt-1 text-right text-ink"
          />
        </label>
        <slot name="figures" :draft="draft" />
      </div>
      <slot name="more" :draft="draft" />
      <AbilityFields :thing="draft" @change="change($event as Partial<T>)" />
      <BulkFields :thing="draft" @change="change($event as Partial<T>)" />
      <label class="block text-sm text-soft"
        >Written on it
        <input v-model="draft.note" class="field mt-1 text-ink" maxlength="1000" autocomplete="off" />
      </label>
      <FaultLines :lines="lines" />
      <div class="flex justify-end gap-2">
        <button type="button" class="button" @click="$emit('close')">{{ leaveWords }}</button>
        <button type="submit" class="button button-main">{{ keepWords }}</button>
      </div>
    </form>
  </BaseDialog>
</template>
