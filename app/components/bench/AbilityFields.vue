<script lang="ts">
/** What a thing can do, and for what. */
export type Abilities = Pick<Thing, 'provides' | 'heads' | 'comesApart' | 'units' | 'measures'>
</script>

<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { Thing } from '#core/bench'
import { readClass } from '#core/supply'
import { defined } from '#core/validation'
import { classInWords } from '#wording'
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import FaultLines from '../common/FaultLines.vue'
import HeadList from './HeadList.vue'
import MeasureList from './MeasureList.vue'

/** What a thing does, what it is a stock of, what its ends get hold of, and what it measures. */
const props = defineProps<{ thing: Abilities }>()
const emit = defineEmits<{ change: [part: Partial<Abilities>] }>()

const functionName = (id: string) => catalogue.functions.find((known) => known.id === id)?.name ?? id
const addable = computed(() => catalogue.functions.filter(({ id }) => !props.thing.provides.includes(id)))
/** Chosen first and added then: keys go through the list without taking all that they pass. */
const chosen = ref('')
function addFunction() {
  if (chosen.value) emit('change', { provides: [...props.thing.provides, chosen.value] })
  chosen.value = ''
}
const dropFunction = (id: string) => emit('change', { provides: props.thing.provides.filter((known) => known !== id) })

const family = ref(catalogue.families[0]?.id ?? '')
const variant = ref('622')
const lines = ref<string[]>([])
const variantKind = computed(() => defined(catalogue.families.find(({ id }) => id === family.value)).variant)
const variantWords: Record<string, string> = {
  bead: 'bead, mm: 622',
  speeds: 'sprockets: 12',
  shape: 'shape mark: k3',
  length: 'length, mm: 290',
  kind: 'kind: presta',
}
const hint = computed(() => variantWords[variantKind.value] ?? '')
function addStock() {
  const isSized = variantKind.value !== 'none'
  const id = isSized ? `${family.value}-${variant.value.trim().toLowerCase()}` : family.value
  if (!readClass(id, catalogue.families)) {
    lines.value = [
      `“${variant.value}” is no size of a ${classInWords(family.value, catalogue.families)}; give ${hint.value}`,
    ]
    return
  }
  lines.value = []
  emit('change', { units: { ...props.thing.units, [id]: props.thing.units[id] ?? 1 } })
}
function dropStock(id: string) {
  const { [id]: _, ...units } = props.thing.units
  emit('change', { units })
}
const amountOf = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <div class="space-y-3">
    <fieldset>
      <legend class="text-sm text-soft">What it does</legend>
      <ul class="my-1 flex flex-wrap gap-1">
        <li
          v-for="id in thing.provides"
          :key="id"
          class="flex items-center gap-1 rounded-sm bg-petrol-wash py-0.5 pl-2 pr-1 text-sm"
        >
          {{ functionName(id) }}
          <button
            type="button"
            class="rounded-sm p-0.5 hover:bg-paper"
            :aria-label="`It does not ${functionName(id)}`"
            @click="dropFunction(id)"
          >
            <X :size="13" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <div class="flex gap-2">
        <select v-model="chosen" class="field" aria-label="Add something it does">
          <option value="">add something it does …</option>
          <option v-for="known in addable" :key="known.id" :value="known.id">{{ known.name }}</option>
        </select>
        <button type="button" class="button" aria-label="Add what it does" :disabled="!chosen" @click="addFunction">
          Add
        </button>
      </div>
    </fieldset>
    <fieldset>
      <legend class="text-sm text-soft">A stock of</legend>
      <ul class="my-1 space-y-1">
        <li v-for="(amount, id) in thing.units" :key="id" class="flex items-center gap-2 text-sm">
          <input
            :value="amount"
            type="number"
            min="0.1"
            step="any"
            class="field figures w-20! text-right"
            :aria-label="`Amount of ${classInWords(String(id), catalogue.families)}`"
            @change="$emit('change', { units: { ...thing.units, [id]: amountOf($event) } })"
          />
          <span class="flex-1">{{ classInWords(String(id), catalogue.families) }}</span>
          <button
            type="button"
            class="button button-bare"
            :aria-label="`It is no stock of ${classInWords(String(id), catalogue.families)}`"
            @click="dropStock(String(id))"
          >
            <X :size="14" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <div class="flex gap-2">
        <select v-model="family" class="field" aria-label="Kind of part">
          <option v-for="known in catalogue.families" :key="known.id" :value="known.id">{{ known.name }}</option>
        </select>
        <input
          v-if="variantKind !== 'none'"
          v-model="variant"
          class="field w-40!"
          :aria-label="`Size, ${hint}`"
          :placeholder="hint"
          autocomplete="off"
        />
        <button type="button" class="button" @click="addStock">Add</button>
      </div>
      <p v-if="variantKind !== 'none'" class="mt-1 text-xs text-soft">{{ hint }}</p>
      <FaultLines class="mt-1" :lines="lines" />
    </fieldset>
    <HeadList :heads="thing.heads" @change="$emit('change', { heads: $event })" />
    <label v-if="thing.heads.length > 1" class="flex items-center gap-2 text-sm"
      ><input
        :checked="thing.comesApart"
        type="checkbox"
        class="size-4 accent-(--petrol)"
        @change="$emit('change', { comesApart: ($event.target as HTMLInputElement).checked })"
      />It comes apart: two of its ends can be used at once</label
    >
    <MeasureList :thing="thing" @change="$emit('change', { measures: $event })" />
  </div>
</template>
