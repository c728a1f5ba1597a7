<script setup lang="ts">
import { parseDateTime, type DateValue } from '@internationalized/date'
import { CalendarDays, ChevronLeft, ChevronRight, X } from '@lucide/vue'
import {
  DatePickerCalendar,
  DatePickerCell,
  DatePickerCellTrigger,
  DatePickerContent,
  DatePickerField,
  DatePickerGrid,
  DatePickerGridBody,
  DatePickerGridHead,
  DatePickerGridRow,
  DatePickerHeadCell,
  DatePickerHeader,
  DatePickerHeading,
  DatePickerInput,
  DatePickerNext,
  DatePickerPrev,
  DatePickerRoot,
  DatePickerTrigger,
} from 'reka-ui'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import { useTypedParts } from '../../composables/useTypedParts'
import FieldFault from './FieldFault.vue'
import { localeOfApp } from './locale-of-app'
import { passOnEscape } from './pass-on-escape'

/**
 * A date and a time by the clock on the wall, typed part by part or picked from a calendar. What is being typed goes through
 * dates nobody means, the year 2 on the way to 2026: the field keeps those to itself, and refuses them when it is left.
 */
const props = defineProps<{
  label: string
  /** Such as 2026-06-13T08:30. */
  modelValue: string | null
  first: string
  last: string
  /** What is said of a date before the first or after the last. */
  between: string
  /** Where the parts begin while nothing is known. */
  startsFrom: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string | null] }>()

const id = useId()
const box = useTemplateRef<HTMLElement>('box')
const least = computed(() => parseDateTime(props.first))
const most = computed(() => parseDateTime(props.last))
const error = ref('')
const isWithin = (value: DateValue) => value.compare(least.value) >= 0 && value.compare(most.value) <= 0
const { typed, type, put, settle, backToGiven } = useTypedParts<string | null, DateValue>(
  () => props.modelValue,
  (written) => (written === null ? undefined : parseDateTime(written)),
  (value) => (isWithin(value) ? value.toString().slice(0, 16) : undefined),
  (written) => emit('update:modelValue', written),
)
watch(typed, () => (error.value = ''))

function leave(event: FocusEvent) {
  if (box.value?.contains(event.relatedTarget as Node | null)) return
  settle()
  if (typed.value) {
    if (!isWithin(typed.value)) refuse(props.between)
  } else if (isEmpty()) put(null)
  else refuse('Give the whole date and the time.')
}
/** Whether not one part of the date is there. */
function isEmpty(): boolean {
  const parts = [...(box.value?.querySelectorAll('[role=spinbutton]') ?? [])]
  return parts.every((part) => part.getAttribute('aria-valuetext') === 'Empty' || !part.hasAttribute('aria-valuenow'))
}
/** The parts are drawn anew, as they were. */
const drawing = ref(0)
function refuse(why: string) {
  backToGiven()
  drawing.value++
  void nextTick(() => (error.value = `${why} It is as it was.`))
}
function clear() {
  type(undefined)
  put(null)
  drawing.value++
}
</script>

<template>
  <div ref="box" class="relative" @focusout="leave">
    <span :id="id" class="block text-sm text-soft">{{ label }}</span>
    <DatePickerRoot
      :key="drawing"
      :model-value="typed"
      :placeholder="typed ?? parseDateTime(startsFrom)"
      :locale="localeOfApp"
      close-on-select
      granularity="minute"
      :hour-cycle="24"
      :week-starts-on="1"
      @update:model-value="type"
    >
      <DatePickerField
        v-slot="{ segments }"
        class="field figures mt-1 flex items-center text-sm text-ink"
        :aria-labelledby="id"
        :aria-describedby="error ? `${id}-error` : undefined"
        :class="error ? 'border-madder!' : ''"
        @keydown.enter="settle"
        @keydown.esc.capture="passOnEscape"
      >
        <template v-for="(segment, i) in segments" :key="i">
          <DatePickerInput v-if="segment.part === 'literal'" :part="segment.part" class="whitespace-pre text-soft">{{
            segment.value
          }}</DatePickerInput>
          <DatePickerInput v-else :part="segment.part" class="segment">{{ segment.value }}</DatePickerInput>
        </template>
        <button
          v-if="modelValue !== null"
          type="button"
          class="ml-auto grid place-items-center rounded-sm p-0.5 text-soft hover:text-ink pointer-coarse:size-11"
          :aria-label="`${label}: no date`"
          @click="clear"
        >
          <X :size="14" aria-hidden="true" />
        </button>
        <DatePickerTrigger
          class="grid place-items-center rounded-sm p-0.5 hover:text-petrol pointer-coarse:size-11"
          :class="modelValue === null ? 'ml-auto' : 'ml-1'"
          :aria-label="`${label}: calendar`"
        >
          <CalendarDays :size="16" aria-hidden="true" />
        </DatePickerTrigger>
      </DatePickerField>
      <DatePickerContent class="card z-40 p-3 shadow-xl" :side-offset="4" :collision-padding="8" align="start">
        <DatePickerCalendar v-slot="{ weekDays, grid }">
          <DatePickerHeader class="flex items-center justify-between">
            <DatePickerPrev class="button button-bare" aria-label="The month before"
              ><ChevronLeft :size="16" aria-hidden="true"
            /></DatePickerPrev>
            <DatePickerHeading class="font-semibold" />
            <DatePickerNext class="button button-bare" aria-label="The month after"
              ><ChevronRight :size="16" aria-hidden="true"
            /></DatePickerNext>
          </DatePickerHeader>
          <DatePickerGrid v-for="month in grid" :key="month.value.toString()" class="mt-1 border-collapse text-sm">
            <DatePickerGridHead>
              <DatePickerGridRow>
                <DatePickerHeadCell
                  v-for="day in weekDays"
                  :key="day"
                  class="w-10 py-1 text-xs font-normal text-soft"
                  >{{ day }}</DatePickerHeadCell
                >
              </DatePickerGridRow>
            </DatePickerGridHead>
            <DatePickerGridBody>
              <DatePickerGridRow v-for="(week, w) in month.rows" :key="w">
                <DatePickerCell v-for="date in week" :key="date.toString()" :date="date" class="p-0 text-center">
                  <DatePickerCellTrigger :day="date" :month="month.value" class="day" />
                </DatePickerCell>
              </DatePickerGridRow>
            </DatePickerGridBody>
          </DatePickerGrid>
        </DatePickerCalendar>
      </DatePickerContent>
    </DatePickerRoot>
    <FieldFault :id="`${id}-error`" class="left-0" :words="error" />
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.segment {
  @apply rounded-sm px-0.5 pointer-coarse:py-2.5 focus:bg-petrol-wash focus:outline-2 focus:outline-brass;
}
:deep(.day) {
  @apply grid size-10 place-items-center rounded-sm hover:bg-well;
}
:deep(.day[data-selected]) {
  @apply bg-petrol text-on-petrol;
}
:deep(.day[data-outside-view]) {
  @apply text-soft;
}
:deep(.day[data-today]) {
  @apply font-bold underline;
}
</style>
