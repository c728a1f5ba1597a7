<script setup lang="ts">
import { startsBetween, startYears } from '#core/ride'
import { ref, useId, watch } from 'vue'
import FieldFault from '../common/FieldFault.vue'

/**
 * When the ride begins. While it is being typed the field goes through dates nobody means, the year 2 on the way to
 * 2026: those are left to the field until they are whole, and refused there when it is left.
 */
const props = defineProps<{ modelValue: string | null }>()
const emit = defineEmits<{ 'update:modelValue': [value: string | null] }>()

const id = useId()
const typed = ref<string>()
const error = ref('')

watch(
  () => props.modelValue,
  () => (error.value = ''),
)

function type(event: Event) {
  const { value, validity } = event.target as HTMLInputElement
  typed.value = value
  if (!validity.valid) return
  const start = value === '' ? null : value.slice(0, 16)
  if (start !== props.modelValue) emit('update:modelValue', start)
}

function leave(event: Event) {
  const input = event.target as HTMLInputElement
  error.value = input.validity.valid
    ? ''
    : input.validity.badInput
      ? 'Give the whole date and the time. It is as it was.'
      : `The year must be ${startYears}. It is as it was.`
  typed.value = undefined
  input.value = props.modelValue ?? ''
}
</script>

<template>
  <div class="relative">
    <label :for="id" class="block text-sm text-soft">The ride begins</label>
    <input
      :id="id"
      type="datetime-local"
      class="field figures mt-1 block text-sm text-ink"
      :min="startsBetween.first"
      :max="startsBetween.last"
      :value="typed ?? modelValue ?? ''"
      :aria-invalid="error !== ''"
      :aria-describedby="error ? `${id}-error` : undefined"
      @input="type"
      @blur="leave"
    />
    <FieldFault :id="`${id}-error`" class="left-0" :words="error" />
  </div>
</template>
