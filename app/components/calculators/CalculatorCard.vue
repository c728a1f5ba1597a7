<script setup lang="ts">
import { defined } from '#core/validation'
import {
  defaultValues,
  withUncertainty,
  type Phrase,
  type Calculator,
  type CalculatorValues,
  type UncertainResult,
} from '#core/calculators'
import { faultLines } from '#core/trip'
import { type Known, amountInWords, spreadInWords } from '#wording'
import { RotateCcw } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useView } from '../../stores/view'
import FaultLines from '../common/FaultLines.vue'
import CalculatorChart from './CalculatorChart.vue'
import CalculatorField from './CalculatorField.vue'

/** One calculation: what it starts from and where that comes from, what comes out and how sure that is. */
const props = defineProps<{ calculator: Calculator; known: Readonly<Record<string, Known>> }>()
const { system } = useView()

/** What somebody has typed; it stays while the calculator is open. */
const typed = ref<Record<string, CalculatorValues[string]>>({})
const values = computed<CalculatorValues>(() => {
  const defaults = defaultValues(props.calculator)
  return Object.fromEntries(
    props.calculator.inputs.map(({ id }) => [id, typed.value[id] ?? props.known[id]?.value ?? defined(defaults[id])]),
  )
})
function originOf(id: string): string {
  if (typed.value[id] !== undefined) return 'typed by you'
  return props.known[id]?.from ?? 'planning value'
}
const answer = computed(() => {
  try {
    return {
      ...props.calculator.calculate(values.value),
      results: withUncertainty(props.calculator, values.value),
      faults: [],
    }
  } catch (error) {
    const faults = faultLines(error)
    if (!faults) throw error
    return { results: [], warnings: [], chart: undefined, table: undefined, faults }
  }
})
const said = (phrase: Phrase) =>
  typeof phrase === 'string' ? phrase : amountInWords(phrase.value, phrase.amount, system.value)
function written({ value, amount, whole }: UncertainResult): string {
  return amountInWords(whole ? Math.ceil(value - 1e-9) : value, amount, system.value)
}
function offInWords({ off, amount, value, mostly }: UncertainResult): string {
  const spread = value === 0 ? '' : spreadInWords(off, amount, system.value)
  return spread && mostly ? `${spread}, mostly ${mostly.toLowerCase()}` : spread
}
</script>

<template>
  <article :aria-labelledby="`calculator-${calculator.id}`" class="p-4">
    <h2 :id="`calculator-${calculator.id}`" class="text-lg">{{ calculator.name }}</h2>
    <p class="text-soft">{{ calculator.asks }}</p>
    <div class="mt-3 grid grid-cols-2 gap-x-4 gap-y-3 lg:grid-cols-3">
      <CalculatorField
        v-for="input in calculator.inputs"
        :key="input.id"
        :input="input"
        :model-value="defined(values[input.id])"
        :from="originOf(input.id)"
        @update:model-value="typed = { ...typed, [input.id]: $event }"
      />
    </div>
    <button v-if="Object.keys(typed).length" type="button" class="button mt-2 min-h-7! text-sm" @click="typed = {}">
      <RotateCcw :size="14" aria-hidden="true" />As it was before I typed
    </button>

    <FaultLines v-if="answer.faults.length" class="mt-3" :lines="answer.faults" />
    <dl v-else class="mt-4 border-t-2 border-ink" aria-live="polite">
      <div
        v-for="result in answer.results"
        :key="result.id"
        class="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 border-b border-line py-1.5"
      >
        <dt>
          {{ result.label }}<span v-if="result.note" class="block text-xs text-soft">{{ result.note }}</span>
        </dt>
        <dd class="text-right">
          <span class="figures text-lg font-semibold">{{ written(result) }}</span>
          <span v-if="offInWords(result)" class="block text-xs text-soft">{{ offInWords(result) }}</span>
        </dd>
      </div>
    </dl>
    <p
      v-for="(warning, i) in answer.warnings"
      :key="`${i} ${warning[0]}`"
      class="mt-2 border-l-4 border-brass pl-2 text-sm"
    >
      {{ warning.map(said).join('') }}
    </p>
    <CalculatorChart
      v-if="answer.chart"
      class="mt-4"
      :chart="answer.chart"
      :label="`${calculator.name}: ${answer.chart.y.label} against ${answer.chart.x.label}`"
    />
    <div
      v-if="answer.table?.rows.length"
      class="mt-4 overflow-x-auto"
      tabindex="0"
      role="region"
      :aria-label="`${calculator.name}, as a table`"
    >
      <table class="w-full border-collapse text-sm">
        <thead>
          <tr class="border-b border-line text-left text-xs text-soft">
            <th v-for="heading in answer.table.headings" :key="heading" class="px-2 py-1 font-normal first:pl-0">
              {{ heading }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, r) in answer.table.rows" :key="r" class="border-b border-line">
            <td v-for="(cell, i) in row" :key="i" class="figures px-2 py-1 whitespace-normal! first:pl-0">
              {{ said(cell) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-4 text-xs text-soft">
      <span class="font-mono">{{ calculator.formula }}</span><br />
      From: {{ calculator.source }}.
    </p>
  </article>
</template>
