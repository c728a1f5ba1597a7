<script setup lang="ts">
import type { Bike } from '#core/bike'
import { computed, ref, useId, watch } from 'vue'
import { useBikes } from '../../composables/useBikes'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'
import { changeAt, tyreFault, valueAt, type PassportLine } from './passport-lines'

/** One line of a passport to be filled in. */
const props = defineProps<{ bike: Bike; line: PassportLine }>()
const { change } = useBikes()

const id = useId()
const value = computed(() => valueAt(props.bike, props.line.path))
const amount = computed(() => value.value as number | null)
const faults = ref<string[]>([])
const typed = ref('')
const shown = computed(() =>
  Array.isArray(value.value)
    ? value.value.join(', ')
    : typeof value.value === 'string' || typeof value.value === 'number'
      ? String(value.value)
      : '',
)
watch(
  shown,
  (text) => {
    typed.value = text
    faults.value = []
  },
  { immediate: true },
)

function put(next: unknown) {
  faults.value = change(
    props.bike,
    changeAt(props.bike, props.line.path, next),
    `${props.line.label.toLowerCase()} of ${props.bike.name}`,
  )
}
function giveUp() {
  typed.value = shown.value
  faults.value = []
}
function putText() {
  if (typed.value === shown.value) return
  switch (props.line.kind) {
    case 'tyre': {
      const fault = tyreFault(typed.value)
      if (fault) faults.value = [fault]
      else put(typed.value.trim())
      return
    }
    case 'teeth': {
      const teeth = typed.value
        .split(/[\s,;]+/)
        .filter(Boolean)
        .map(Number)
      if (teeth.length === 0 || teeth.some((count) => !Number.isInteger(count)))
        faults.value = [`“${typed.value}” is no list of teeth; try “11, 13, 15”`]
      else put([...teeth].sort((a, b) => a - b))
      return
    }
    default:
      put(typed.value.trim().toLowerCase())
  }
}
</script>

<template>
  <div class="min-w-0">
    <MeasureField
      v-if="line.kind === 'amount'"
      :label="line.label"
      :model-value="amount"
      :amount="line.amount"
      :least="line.least"
      :most="line.most"
      :allow-none="line.none !== undefined"
      :placeholder="line.none"
      @update:model-value="put($event)"
    />
    <template v-else-if="line.kind === 'yes'">
      <label class="flex min-h-8 items-center gap-2 md:mt-5.5 pointer-coarse:min-h-11">
        <input
          type="checkbox"
          class="size-4 shrink-0 accent-(--petrol)"
          :checked="value === true"
          @change="put(($event.target as HTMLInputElement).checked)"
        />
        <span class="text-sm leading-tight">{{ line.label }}</span>
      </label>
    </template>
    <template v-else>
      <label :for="id" class="mb-1 block text-sm text-soft">{{ line.label }}</label>
      <select
        v-if="line.kind === 'choice'"
        :id="id"
        class="field"
        :value="value"
        @change="put(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="(word, option) in line.options" :key="option" :value="option">{{ word }}</option>
      </select>
      <input
        v-else
        :id="id"
        v-model="typed"
        class="field figures"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="faults.length > 0"
        @change="putText"
        @keydown.enter="putText"
        @keydown.esc="giveUp"
      />
    </template>
    <FaultLines v-if="faults.length" class="mt-1" :lines="faults" />
  </div>
</template>
