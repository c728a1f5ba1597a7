<script setup lang="ts">
import { startsBetween } from '#core/ride'
import { ref, watch } from 'vue'

/**
 * A day of the calendar. What is being typed goes through years that nobody means, the year 2 on the way to 2026: those are
 * kept from whoever asks for the day.
 */
const props = defineProps<{ label: string; modelValue: string | null; invalid?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [day: string | null] }>()
const [first, last] = [startsBetween.first.slice(0, 10), startsBetween.last.slice(0, 10)]

const typed = ref(props.modelValue ?? '')
watch(
  () => props.modelValue,
  (day) => (typed.value = day ?? ''),
)
function take(event: Event) {
  typed.value = (event.target as HTMLInputElement).value
  const day = typed.value || null
  if (day !== props.modelValue && (day === null || (day >= first && day <= last))) emit('update:modelValue', day)
}
</script>

<template>
  <label class="flex items-center gap-2 text-sm text-soft"
    ><span>{{ label }}</span>
    <input
      type="date"
      class="field w-40! text-ink"
      :value="typed"
      :min="first"
      :max="last"
      :aria-invalid="invalid"
      @change="take"
    />
  </label>
</template>
