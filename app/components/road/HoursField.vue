<script setup lang="ts">
import { CalendarClock } from '@lucide/vue'
import { weekInRuns } from '#wording'
import { cutTo } from '#core/validation'
import { computed, ref, shallowRef, useId, watch } from 'vue'
import { useKitStore } from '../../stores/kit'
import type { HoursReading } from '../../workers/analyser'
import TypedField from '../common/TypedField.vue'
import HoursDialog from './HoursDialog.vue'

/** Opening hours, typed in the OpenStreetMap syntax or put together day by day; told back as they were understood. */
const props = defineProps<{ label: string; modelValue: string; roadKm: number }>()
const emit = defineEmits<{ 'update:modelValue': [hours: string] }>()
const kit = useKitStore()
const id = useId()

/** What was read, and of which hours. */
const read = shallowRef<{ hours: string; reading: HoursReading | undefined }>()
const reading = computed(() => (read.value?.hours === props.modelValue ? read.value.reading : undefined))
const helping = ref(false)
watch(
  () => [props.modelValue, kit.analysis?.ride] as const,
  async ([hours]) => {
    const next = hours === '' ? undefined : await kit.readHours(hours, props.roadKm)
    if (props.modelValue === hours) read.value = { hours, reading: next }
  },
  { immediate: true },
)
const runs = computed(() => (reading.value?.ok ? weekInRuns(reading.value.week) : []))
function put(hours: string) {
  emit('update:modelValue', cutTo(hours.trim(), 200))
}
</script>

<template>
  <div>
    <label :for="id" class="block text-xs text-soft">open</label>
    <div class="mt-0.5 flex gap-1.5">
      <TypedField
        :id="id"
        class="field text-ink"
        :model-value="modelValue"
        :aria-label="label"
        placeholder="unknown; such as Mo-Fr 09:00-18:00; Sa 09:00-13:00"
        maxlength="200"
        :aria-invalid="reading?.ok === false"
        :aria-describedby="`${id}-read`"
        @update:model-value="put"
      />
      <button type="button" class="button shrink-0" @click="helping = true">
        <CalendarClock :size="15" aria-hidden="true" />Day by day
      </button>
    </div>
    <p v-if="reading && !reading.ok" :id="`${id}-read`" role="alert" class="mt-1 text-xs text-madder">
      Not understood, so its hours count as unknown: {{ reading.error }}.
      <template v-if="reading.guesses.length">
        Which is meant?
        <button
          v-for="guess in reading.guesses"
          :key="guess"
          type="button"
          class="button figures mr-1 mt-1 min-h-7! py-0.5! max-md:min-h-11!"
          @click="put(guess)"
        >
          {{ guess }}
        </button>
      </template>
      <template v-else>“Day by day” writes it for you.</template>
    </p>
    <p v-else-if="reading?.ok" :id="`${id}-read`" class="mt-1 text-xs text-soft">
      <span v-for="run in runs" :key="run.days" class="mr-3 inline-block"
        >{{ run.days }} <span class="figures">{{ run.words }}</span></span
      >
      <span v-if="reading.warnings.length">Read with some guessing; tidier: {{ reading.tidy }}</span>
    </p>
    <HoursDialog
      v-if="helping && read?.hours === modelValue"
      :title="label"
      :hours="modelValue"
      :tidy="reading?.ok ? reading.tidy : undefined"
      @close="helping = false"
      @put="put"
    />
  </div>
</template>
