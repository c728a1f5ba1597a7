<script setup lang="ts">
import { customary, inUnit, readMeasure, type Amount } from '#core/units'
import { computed, ref, useId, watch } from 'vue'
import { useView } from '../../stores/view'
import FieldFault from './FieldFault.vue'

/** An amount with its unit, shown and typed as this person does; the value is in the core's unit. */
const props = defineProps<{
  label: string
  modelValue: number | null
  amount: Amount
  least?: number
  most?: number
  allowNone?: boolean
  placeholder?: string
  /** Hides the label from the eye; it stays for those who listen. */
  labelHidden?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()

const id = useId()
const { system } = useView()
const unit = computed(() => customary[props.amount][system.value].unit)
const written = (value: number) => String(inUnit(value, customary[props.amount][system.value]))
const shown = computed(() => (props.modelValue === null ? '' : written(props.modelValue)))
const typed = ref(shown.value)
const error = ref('')
watch(shown, (value) => {
  typed.value = value
  error.value = ''
})

function commit() {
  if (typed.value === shown.value) {
    error.value = ''
    return
  }
  if (typed.value.trim() === '' && props.allowNone) {
    error.value = ''
    emit('update:modelValue', null)
    return
  }
  const read = readMeasure(typed.value, customary[props.amount].quantity, unit.value)
  if ('error' in read) {
    error.value = read.error
    return
  }
  const [least, most] = [props.least ?? 0, props.most ?? Infinity]
  if (read.value < least || read.value > most) {
    const limit = read.value < least ? `at least ${written(least)}` : `at most ${written(most)}`
    error.value = `${props.label} must be ${limit} ${unit.value}`
    return
  }
  error.value = ''
  emit('update:modelValue', read.value)
}

/** Takes back what was typed; where there is nothing to take back the key is for whatever the field stands in. */
function giveUp(key: KeyboardEvent) {
  if (typed.value === shown.value) return
  key.stopPropagation()
  typed.value = shown.value
  error.value = ''
}
</script>

<template>
  <div class="relative">
    <label :for="id" :class="labelHidden ? 'sr-only' : 'mb-1 block text-sm text-soft'">{{ label }}</label>
    <div class="relative">
      <input
        :id="id"
        v-model="typed"
        class="field figures pl-1! text-right"
        :class="unit.length > 4 ? 'pr-16!' : unit.length > 2 ? 'pr-12!' : unit.length > 1 ? 'pr-8!' : 'pr-6!'"
        inputmode="text"
        autocomplete="off"
        :placeholder="placeholder"
        :aria-invalid="error !== ''"
        :aria-describedby="error ? `${id}-error` : undefined"
        @change="commit"
        @keydown.enter="commit"
        @keydown.esc="giveUp"
      />
      <span
        class="pointer-events-none absolute inset-y-0 right-2 flex items-center text-xs text-soft"
        aria-hidden="true"
        >{{ unit }}</span
      >
    </div>
    <FieldFault :id="`${id}-error`" class="right-0" :words="error" />
  </div>
</template>
