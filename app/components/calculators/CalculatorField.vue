<script setup lang="ts">
import { readTyreSize } from '#core/bike'
import type { CalculatorInput, CalculatorValues } from '#core/calculators'
import { computed, ref, useId, watch } from 'vue'
import MeasureField from '../common/MeasureField.vue'

/** One input of a calculator, and where its value comes from. */
const props = defineProps<{ input: CalculatorInput; modelValue: CalculatorValues[string]; from: string }>()
const emit = defineEmits<{ 'update:modelValue': [value: CalculatorValues[string]] }>()

const id = useId()
const shown = computed(() => (Array.isArray(props.modelValue) ? props.modelValue.join(', ') : String(props.modelValue)))
const typed = ref(shown.value)
const fault = ref('')
watch(shown, (text) => {
  typed.value = text
  fault.value = ''
})

function commit() {
  if (typed.value === shown.value) return
  if (props.input.kind === 'tyre') {
    if (readTyreSize(typed.value)) emit('update:modelValue', typed.value.trim())
    else fault.value = `“${typed.value}” cannot be read; the side of the tyre says width and bead, such as 50-622`
    return
  }
  const teeth = typed.value
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number)
  if (
    teeth.length === 0 ||
    teeth.length > 14 ||
    teeth.some((count) => !Number.isInteger(count) || count < 6 || count > 70)
  )
    fault.value = `“${typed.value}” is no list of teeth, 6 to 70 each; try “11, 13, 15”`
  else
    emit(
      'update:modelValue',
      [...teeth].sort((a, b) => a - b),
    )
}
function commitAmount(value: number | null) {
  if (value === null || props.input.kind !== 'amount') return
  emit('update:modelValue', props.input.whole ? Math.round(value) : value)
}
</script>

<template>
  <div class="min-w-0">
    <MeasureField
      v-if="input.kind === 'amount'"
      :label="input.label"
      :model-value="modelValue as number"
      :amount="input.amount"
      :least="input.least"
      :most="input.most"
      @update:model-value="commitAmount"
    />
    <template v-else>
      <label :for="id" class="mb-1 block text-sm text-soft">{{ input.label }}</label>
      <input
        :id="id"
        v-model="typed"
        class="field figures"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="fault !== ''"
        :aria-describedby="fault ? `${id}-fault` : undefined"
        @change="commit"
        @keydown.enter="commit"
      />
      <p v-if="fault" :id="`${id}-fault`" role="alert" class="mt-1 text-xs text-madder">{{ fault }}</p>
    </template>
    <p class="mt-0.5 text-xs text-soft">{{ from }}</p>
  </div>
</template>
