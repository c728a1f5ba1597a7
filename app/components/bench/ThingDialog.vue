<script setup lang="ts">
import { defined } from '#core/validation'
import { thingSchema, type Thing } from '#core/bench'
import { readClass } from '#core/supply'
import { classInWords } from '#wording'
import { X } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { computed, ref } from 'vue'
import { useDraft } from '../../composables/useDraft'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'
import BaseDialog from '../common/BaseDialog.vue'
import HeadList from './HeadList.vue'
import MeasureList from './MeasureList.vue'

/** One thing in full: mass, how many, what it does, what it is a stock of. */
const props = defineProps<{ thing: Thing; isNew: boolean }>()
const emit = defineEmits<{ close: []; keep: [thing: Thing] }>()

const { draft, lines, keep } = useDraft(thingSchema, props.thing)

const functionName = (id: string) => catalogue.functions.find((known) => known.id === id)?.name ?? id
const addable = computed(() => catalogue.functions.filter(({ id }) => !draft.value.provides.includes(id)))
function addFunction(event: Event) {
  const select = event.target as HTMLSelectElement
  if (select.value) draft.value.provides.push(select.value)
  select.value = ''
}

const family = ref(catalogue.families[0]?.id ?? '')
const variant = ref('622')
const needsVariant = computed(
  () => defined(catalogue.families.find(({ id }) => id === family.value)).variant !== 'none',
)
const variantWords: Record<string, string> = {
  bead: 'bead, mm: 622',
  speeds: 'sprockets: 12',
  shape: 'shape mark: k3',
  length: 'length, mm: 290',
  kind: 'kind: presta',
}
const hint = computed(
  () => variantWords[defined(catalogue.families.find(({ id }) => id === family.value)).variant] ?? '',
)
function addStock() {
  const id = needsVariant.value ? `${family.value}-${variant.value.trim().toLowerCase()}` : family.value
  if (!readClass(id, catalogue.families)) {
    lines.value = [
      `“${variant.value}” is no size of a ${classInWords(family.value, catalogue.families)}; give ${hint.value}`,
    ]
    return
  }
  lines.value = []
  draft.value.units = { ...draft.value.units, [id]: draft.value.units[id] ?? 1 }
}
function dropStock(id: string) {
  const { [id]: _, ...rest } = draft.value.units
  draft.value.units = rest
}
function put(thing: Thing): string[] {
  emit('keep', thing)
  return []
}
</script>

<template>
  <BaseDialog open :title="isNew ? 'One of my own' : thing.name" @close="$emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="keep($event, put)">
      <label class="block text-sm text-soft"
        >Name
        <input v-model="draft.name" class="field mt-1 text-ink" maxlength="120" autocomplete="off" />
      </label>
      <div class="grid grid-cols-3 gap-3">
        <MeasureField
          label="One weighs"
          :model-value="draft.massG"
          amount="mass"
          :least="0.1"
          :most="20000"
          @update:model-value="$event !== null && (draft.massG = $event)"
        />
        <label class="block text-sm text-soft"
          >How many
          <input
            v-model.number="draft.count"
            type="number"
            min="1"
            max="99"
            class="field figures mt-1 text-right text-ink"
          />
        </label>
        <MeasureField
          label="Trusted to"
          :model-value="draft.condition"
          amount="share"
          :most="1"
          @update:model-value="$event !== null && (draft.condition = $event)"
        />
      </div>
      <fieldset>
        <legend class="text-sm text-soft">What it does</legend>
        <ul class="my-1 flex flex-wrap gap-1">
          <li
            v-for="(id, i) in draft.provides"
            :key="id"
            class="flex items-center gap-1 rounded-sm bg-petrol-wash py-0.5 pl-2 pr-1 text-sm"
          >
            {{ functionName(id) }}
            <button
              type="button"
              class="rounded-sm p-0.5 hover:bg-paper"
              :aria-label="`It does not ${functionName(id)}`"
              @click="draft.provides.splice(i, 1)"
            >
              <X :size="13" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <select class="field" aria-label="Add something it does" @change="addFunction">
          <option value="">add something it does …</option>
          <option v-for="known in addable" :key="known.id" :value="known.id">{{ known.name }}</option>
        </select>
      </fieldset>
      <fieldset>
        <legend class="text-sm text-soft">A stock of</legend>
        <ul class="my-1 space-y-1">
          <li v-for="(amount, id) in draft.units" :key="id" class="flex items-center gap-2 text-sm">
            <input
              :value="amount"
              type="number"
              min="0.1"
              step="any"
              class="field figures w-20! text-right"
              :aria-label="`Amount of ${classInWords(String(id), catalogue.families)}`"
              @change="draft.units = { ...draft.units, [id]: Number(($event.target as HTMLInputElement).value) }"
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
            v-if="needsVariant"
            v-model="variant"
            class="field w-40!"
            :aria-label="`Size, ${hint}`"
            :placeholder="hint"
            autocomplete="off"
          />
          <button type="button" class="button" @click="addStock">Add</button>
        </div>
        <p v-if="needsVariant" class="mt-1 text-xs text-soft">{{ hint }}</p>
      </fieldset>
      <HeadList :heads="draft.heads" @change="draft.heads = $event" />
      <label v-if="draft.heads.length > 1" class="flex items-center gap-2 text-sm"
        ><input v-model="draft.comesApart" type="checkbox" class="size-4 accent-(--petrol)" />It comes apart: two of its
        ends can be used at once</label
      >
      <MeasureList :thing="draft" @change="draft.measures = $event" />
      <label class="block text-sm text-soft"
        >Written on it
        <input v-model="draft.note" class="field mt-1 text-ink" maxlength="1000" autocomplete="off" />
      </label>
      <FaultLines :lines="lines" />
      <div class="flex justify-end gap-2">
        <button type="button" class="button" @click="$emit('close')">Leave it as it was</button>
        <button type="submit" class="button button-main">{{ isNew ? 'Lay it down' : 'Keep' }}</button>
      </div>
    </form>
  </BaseDialog>
</template>
