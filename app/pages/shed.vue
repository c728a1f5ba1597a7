<script setup lang="ts">
import { catalogue } from '#catalogue'
import { packedOf, tinG, writeShedCsv, type OwnedThing } from '#core/shed'
import { capabilitiesInWords } from '#wording'
import { FileDown, Plus, Redo2, Scale, Undo2 } from '@lucide/vue'
import { definePageMeta, useHead } from '#imports'
import { useDocumentVisibility } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, shallowRef, useTemplateRef, watch, type Component } from 'vue'
import CatalogueDialog from '../components/bench/CatalogueDialog.vue'
import ThingHeads from '../components/bench/ThingHeads.vue'
import FilePicker from '../components/common/FilePicker.vue'
import AppHeader from '../components/frame/AppHeader.vue'
import OwnedThingDialog from '../components/shed/OwnedThingDialog.vue'
import ShedList from '../components/shed/ShedList.vue'
import ShedSaving from '../components/shed/ShedSaving.vue'
import TableDialog from '../components/shed/TableDialog.vue'
import { useFileDrop } from '../composables/useFileDrop'
import { useKeys } from '../composables/useKeys'
import { useShedEdits } from '../composables/useShedEdits'
import { saveAs } from '../http/save-as'
import { usePerson } from '../stores/person'
import { useShed } from '../stores/shed'
import { useView } from '../stores/view'

definePageMeta({ middleware: 'signed-in' })
useHead({ title: 'Shed · Rag Tin' })

/** Weighing is done now and then. */
const ScaleDialog = defineAsyncComponent(() => import('../components/scale/ScaleDialog.vue') as Promise<Component>)

const { isGuest } = usePerson()
const { grams } = useView()
const { things, isKnown, state, unsaved, undoLabel, redoLabel, open, catchUp, put, remove, undo, redo } = useShed()
const { take, putBack, blank, weigh } = useShedEdits()
void open().then(() => catchUp())
watch(useDocumentVisibility(), (visible) => visible === 'visible' && void catchUp())

const savedWords = computed(() => {
  if (isGuest.value) return 'Kept on this device.'
  switch (state.value.kind) {
    case 'clean':
      return 'Saved with your account.'
    case 'dirty':
      return 'Saving …'
    case 'offline':
      return unsaved.value > 0 ? 'Kept on this device.' : 'As this device has it.'
    default:
      return 'Not saved.'
  }
})
const today = new Date().toISOString().slice(0, 10)
const asked = ref('')
const orders = {
  name: { words: 'by name', compare: (a: OwnedThing, b: OwnedThing) => byName(a, b) },
  mass: { words: 'heaviest first', compare: (a: OwnedThing, b: OwnedThing) => b.massG - a.massG || byName(a, b) },
  packed: {
    words: 'the tin first',
    compare: (a: OwnedThing, b: OwnedThing) => Number(packedOf(b) > 0) - Number(packedOf(a) > 0) || byName(a, b),
  },
  weighed: {
    words: 'not weighed first',
    compare: (a: OwnedThing, b: OwnedThing) => Number(a.isWeighed) - Number(b.isWeighed) || byName(a, b),
  },
} as const
const order = ref<keyof typeof orders>('name')
const collator = new Intl.Collator('en', { numeric: true })
const byName = (a: OwnedThing, b: OwnedThing) => collator.compare(a.name, b.name)

/** What is searched in, made once for each thing. */
const texts = computed(
  () =>
    new Map(
      things.value.map((thing) => [
        thing.id,
        [thing.name, thing.note, ...capabilitiesInWords(thing, catalogue)].join(' ').toLowerCase(),
      ]),
    ),
)
const sorted = computed(() => [...things.value].sort(orders[order.value].compare))
const shown = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return sorted.value.filter(({ id }) => words.every((word) => texts.value.get(id)?.includes(word)))
})
const massG = computed(() => things.value.reduce((sum, thing) => sum + thing.massG * thing.count, 0))
const packedG = computed(() => tinG(things.value))
const unweighed = computed(() => sorted.value.filter(({ isWeighed }) => !isWeighed))

const showsCatalogue = ref(false)
const weighs = ref(false)
const edited = shallowRef<{ thing: OwnedThing; isNew: boolean }>()
const table = shallowRef<File>()
const over = useFileDrop((file) => (table.value = file))
const scrolls = useTemplateRef<HTMLElement>('scrolls')

function keep(thing: OwnedThing) {
  void put(edited.value?.isNew ? `put ${thing.name} into the shed` : `change ${thing.name}`, [thing])
  edited.value = undefined
}
const setMass = (thing: OwnedThing, mass: number) =>
  void put(`weigh ${thing.name}`, [{ ...thing, massG: mass, isWeighed: false }])
const setCount = (thing: OwnedThing, count: number) => void put(`so many of ${thing.name}`, [{ ...thing, count }])
function download() {
  const text = writeShedCsv(sorted.value, catalogue.items)
  // With a mark of its encoding, which programs for tables look for.
  saveAs(new Blob(['\uFEFF', text], { type: 'text/csv;charset=utf-8' }), 'shed.csv')
}
useKeys({}, { z: () => void undo(), 'shift+z': () => void redo(), y: () => void redo() })
</script>

<template>
  <div class="flex h-dvh flex-col print:h-auto">
    <AppHeader />
    <main
      ref="scrolls"
      class="min-h-0 flex-1 overflow-y-auto print:overflow-visible"
      :class="over ? 'outline-4 outline-dashed -outline-offset-8 outline-petrol' : ''"
    >
      <div class="mx-auto w-full max-w-5xl pb-10">
        <header class="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line px-4 pb-2 pt-4">
          <div class="min-w-0">
            <h1 class="text-2xl">Shed</h1>
            <p class="text-sm text-soft">
              <template v-if="things.length"
                ><span class="figures">{{ things.length }}</span> things,
                <span class="figures">{{ grams(massG) }}</span>, <span class="figures">{{ unweighed.length }}</span> not
                weighed yet<template v-if="packedG"
                  >; <span class="figures">{{ grams(packedG) }}</span> stay packed</template
                >.</template
              >
              <template v-else>What you own, whatever trips it goes on. </template>
              <span role="status" class="ml-1">{{ savedWords }}</span>
            </p>
          </div>
          <div class="on-screen ml-auto flex flex-wrap gap-2">
            <button
              type="button"
              class="button"
              :disabled="!undoLabel"
              :title="undoLabel ? `Undo: ${undoLabel}` : 'Nothing to undo'"
              @click="undo"
            >
              <Undo2 :size="15" aria-hidden="true" /><span class="sr-only">Undo {{ undoLabel }}</span>
            </button>
            <button
              type="button"
              class="button"
              :disabled="!redoLabel"
              :title="redoLabel ? `Redo: ${redoLabel}` : 'Nothing to redo'"
              @click="redo"
            >
              <Redo2 :size="15" aria-hidden="true" /><span class="sr-only">Redo {{ redoLabel }}</span>
            </button>
            <button type="button" class="button" :disabled="!unweighed.length" @click="weighs = true">
              <Scale :size="15" aria-hidden="true" />Weigh them all
            </button>
            <FilePicker label="Table of things (CSV)" accept=".csv,.tsv,.txt,text/csv" @file="table = $event"
              >From a table</FilePicker
            >
            <button type="button" class="button" :disabled="!things.length" @click="download">
              <FileDown :size="15" aria-hidden="true" />As a table
            </button>
            <button type="button" class="button" @click="edited = { thing: blank(), isNew: true }">
              <Plus :size="15" aria-hidden="true" />One of my own
            </button>
            <button type="button" class="button button-main" @click="showsCatalogue = true">
              Put in from the catalogue
            </button>
          </div>
        </header>

        <ShedSaving class="px-4 pt-2" />
        <div v-if="things.length > 5" class="flex flex-wrap gap-2 border-b border-line px-4 py-2">
          <input
            v-model="asked"
            class="field min-w-40 flex-1"
            type="search"
            aria-label="Show only things that match"
            placeholder="show only …"
          />
          <select v-model="order" class="field w-auto!" aria-label="Order">
            <option v-for="({ words }, id) in orders" :key="id" :value="id">{{ words }}</option>
          </select>
        </div>
        <ThingHeads v-if="shown.length" />
        <ShedList
          v-if="shown.length"
          :things="shown"
          :today="today"
          :scrolls="scrolls"
          @weigh="setMass"
          @count="setCount"
          @edit="edited = { thing: $event, isNew: false }"
          @remove="remove"
        />
        <p v-else-if="!isKnown" role="status" class="p-6 text-soft">Looking …</p>
        <div v-else-if="!things.length" class="mx-auto max-w-xl p-6 pt-10">
          <h2 class="text-lg">An empty shed</h2>
          <p class="mt-1 text-soft">
            Put in what you own once: pump, levers, tubes, that odd hanger. Every bench is laid from here first, and
            what is missing for a road is named with its worth and its price.
          </p>
          <button type="button" class="button button-main mt-4" @click="showsCatalogue = true">
            Open the catalogue
          </button>
        </div>
        <p v-else class="p-6 text-soft">Nothing in the shed matches “{{ asked }}”.</p>
      </div>
    </main>

    <CatalogueDialog
      :open="showsCatalogue"
      :taken="things"
      :why-not="() => ''"
      @close="showsCatalogue = false"
      @take="take"
      @put-back="putBack"
    />
    <OwnedThingDialog
      v-if="edited"
      :thing="edited.thing"
      :is-new="edited.isNew"
      :today="today"
      @close="edited = undefined"
      @keep="keep"
    />
    <TableDialog v-if="table" :file="table" @close="table = undefined" />
    <ScaleDialog v-if="weighs" :things="unweighed" @close="weighs = false" @weighed="weigh" />
  </div>
</template>
