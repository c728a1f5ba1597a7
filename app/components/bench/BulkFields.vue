<script setup lang="ts">
import { catalogue } from '#catalogue'
import { bulkOf, handlings, type Handling, type Thing } from '#core/bench'
import { handlingWords } from '#wording'
import { computed } from 'vue'
import MeasureField from '../common/MeasureField.vue'

/** What a thing takes up in a bag, and what has to be minded there: as its kind has it until somebody says. */
export type Bulky = Pick<Thing, 'massG' | 'volumeMl' | 'longestMm' | 'handling' | 'from'>
const props = defineProps<{ thing: Bulky }>()
const emit = defineEmits<{ change: [part: Partial<Bulky>] }>()

const bulk = computed(() => bulkOf(props.thing, catalogue.items))
const unsaid = computed(() => bulkOf({ ...props.thing, volumeMl: null, longestMm: null }, catalogue.items))
function tick(handling: Handling, event: Event) {
  const others = bulk.value.handling.filter((other) => other !== handling)
  const isTicked = (event.target as HTMLInputElement).checked
  emit('change', { handling: handlings.filter((each) => others.includes(each) || (isTicked && each === handling)) })
}
const about = (value: number) => `≈ ${value < 10 ? value.toFixed(1) : Math.round(value)}`
</script>

<template>
  <fieldset>
    <legend class="text-sm text-soft">In a bag</legend>
    <div class="mt-1 grid grid-cols-2 gap-3">
      <MeasureField
        label="One takes up"
        :model-value="thing.volumeMl"
        amount="volume"
        :least="0.1"
        :most="100000"
        allow-none
        :placeholder="about(unsaid.volumeMl)"
        @update:model-value="emit('change', { volumeMl: $event })"
      />
      <MeasureField
        label="Longest side"
        :model-value="thing.longestMm"
        amount="length"
        :least="0.1"
        :most="3000"
        allow-none
        :placeholder="about(unsaid.longestMm)"
        @update:model-value="emit('change', { longestMm: $event })"
      />
    </div>
    <div class="mt-2 grid gap-x-4 gap-y-1 text-sm sm:grid-cols-2">
      <label v-for="handling in handlings" :key="handling" class="flex items-center gap-2 pointer-coarse:min-h-11">
        <input
          type="checkbox"
          class="size-4 shrink-0 accent-petrol"
          :checked="bulk.handling.includes(handling)"
          @change="tick(handling, $event)"
        />{{ handlingWords[handling] }}
      </label>
    </div>
  </fieldset>
</template>
