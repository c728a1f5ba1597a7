<script setup lang="ts">
import { Time, parseTime } from '@internationalized/date'
import { TimeFieldInput, TimeFieldRoot, type TimeValue } from 'reka-ui'
import { useTypedParts } from '../../composables/useTypedParts'
import { localeOfApp } from './locale-of-app'
import { passOnEscape } from './pass-on-escape'

/** A time of day by a clock of 24 hours, typed part by part. What is not whole yet stays in the field. */
const props = defineProps<{ label: string; modelValue: string; labelHidden?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [value: string] }>()

const { typed, type, settle } = useTypedParts<string, TimeValue>(
  () => props.modelValue,
  (written) => (written ? parseTime(written) : undefined),
  (value) => (value instanceof Time ? value.toString().slice(0, 5) : undefined),
  (written) => emit('update:modelValue', written),
)
</script>

<template>
  <div class="text-sm text-soft">
    <span v-if="!labelHidden" aria-hidden="true">{{ label }}</span>
    <TimeFieldRoot
      v-slot="{ segments }"
      :model-value="typed"
      :locale="localeOfApp"
      granularity="minute"
      :hour-cycle="24"
      :aria-label="label"
      class="field figures flex items-center text-ink"
      :class="labelHidden ? '' : 'mt-1'"
      @update:model-value="type"
      @focusout="settle"
      @keydown.enter="settle"
      @keydown.esc.capture="passOnEscape"
    >
      <template v-for="(segment, i) in segments" :key="i">
        <TimeFieldInput v-if="segment.part === 'literal'" :part="segment.part" class="text-soft">{{
          segment.value
        }}</TimeFieldInput>
        <TimeFieldInput v-else :part="segment.part" class="segment">{{ segment.value }}</TimeFieldInput>
      </template>
    </TimeFieldRoot>
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.segment {
  @apply rounded-sm px-0.5 pointer-coarse:py-2.5 focus:bg-petrol-wash focus:outline-2 focus:outline-brass;
}
</style>
