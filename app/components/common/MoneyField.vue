<script setup lang="ts">
import { formatMoney, moneyAsTyped, readMoney } from '#core/money'
import { Fault } from '#core/validation'
import { computed, ref, useId, watch } from 'vue'
import FieldFault from './FieldFault.vue'

/** An amount of money, shown and typed in a currency; the value is in its smallest coins. */
const props = defineProps<{
  label: string
  modelValue: number | null
  currency: string
  least?: number
  allowNone?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()

const id = useId()
const shown = computed(() => (props.modelValue === null ? '' : moneyAsTyped(props.modelValue, props.currency)))
const typed = ref<string>(shown.value)
const error = ref('')
watch([shown, () => props.currency], () => {
  typed.value = shown.value
  error.value = ''
})

function commit() {
  error.value = ''
  if (typed.value === shown.value) return
  if (typed.value.trim() === '' && props.allowNone) {
    emit('update:modelValue', null)
    return
  }
  try {
    const money = readMoney(typed.value, props.currency)
    if (money < (props.least ?? 0)) error.value = `at least ${formatMoney(props.least ?? 0, props.currency)}`
    else if (money === props.modelValue) typed.value = shown.value
    else emit('update:modelValue', money)
  } catch (fault) {
    if (!(fault instanceof Fault)) throw fault
    error.value = `expected ${fault.expected}`
  }
}
function giveUp(key: KeyboardEvent) {
  if (typed.value === shown.value) return
  key.stopPropagation()
  typed.value = shown.value
  error.value = ''
}
</script>

<template>
  <div class="relative">
    <label :for="id" class="mb-1 block text-sm text-soft">{{ label }}</label>
    <div class="relative">
      <input
        :id="id"
        v-model="typed"
        class="field figures pr-12! pl-1! text-right"
        inputmode="decimal"
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
        >{{ currency }}</span
      >
    </div>
    <FieldFault :id="`${id}-error`" class="right-0" :words="error" />
  </div>
</template>
