<script setup lang="ts">
import { defined } from '#core/validation'
import { laidOutG, thingSchema, withCount, type Thing } from '#core/bench'
import { doublesOf } from '#core/fit'
import { headInWords, capabilitiesInWords } from '#wording'
import { Pencil, Plus, Trash2 } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { computed, ref, shallowRef } from 'vue'
import CatalogueDialog from '../../../components/bench/CatalogueDialog.vue'
import CountStepper from '../../../components/bench/CountStepper.vue'
import ThingDialog from '../../../components/bench/ThingDialog.vue'
import MeasureField from '../../../components/common/MeasureField.vue'
import { useBench } from '../../../composables/useBench'
import { useFirstBench } from '../../../composables/useFirstBench'
import { useSpares } from '../../../stores/spares'
import { useView } from '../../../stores/view'
import { useKitStore } from '../../../stores/kit'
import { useTripStore } from '../../../stores/trip'

const store = useTripStore()
const kit = useKitStore()
const { grams, massWord } = useView()
const { take, putBack } = useBench()

const bench = computed(() => store.openTrip.bench)
const filter = ref('')
const shown = computed(() => {
  const word = filter.value.trim().toLowerCase()
  if (!word) return bench.value
  return bench.value.filter((thing) =>
    [thing.name, ...capabilitiesInWords(thing, catalogue)].join(' ').toLowerCase().includes(word),
  )
})
const laidG = computed(() => laidOutG(bench.value))
const verdicts = computed(() => new Map(kit.kit?.verdicts.map((verdict) => [verdict.item, verdict])))

const hasRoad = computed(() => store.openTrip.road.points.length > 0)
const bikeNames = computed(() => store.openTrip.bikes.map(({ name }) => name).join(' and '))
const { starting, startFault, startFromBikes } = useFirstBench()

const showsCatalogue = ref(false)
const edited = shallowRef<Thing>()
const isNew = ref(false)

function put(label: string, next: Thing[], merge?: string) {
  store.edit(label, { bench: next }, merge)
}
function change(thing: Thing, part: Partial<Thing>, label: string, merge?: string) {
  put(
    label,
    bench.value.map((other) => (other.id === thing.id ? { ...thing, ...part } : other)),
    merge,
  )
}
function setCount(thing: Thing, count: number) {
  change(thing, withCount(thing, count), `count ${thing.name}`, `count ${thing.id}`)
}
function remove(thing: Thing) {
  put(
    `remove ${thing.name}`,
    bench.value.filter((other) => other.id !== thing.id),
  )
}
function makeOwn() {
  isNew.value = true
  const id = crypto.randomUUID().slice(0, 8)
  edited.value = { ...thingSchema.parse({ id, name: 'mine', massG: 50 }), name: '' }
}
function edit(thing: Thing) {
  isNew.value = false
  edited.value = thing
}
function keep(thing: Thing) {
  if (isNew.value) put(`lay down ${thing.name}`, [...bench.value, thing])
  else change(thing, thing, `change ${thing.name}`)
  edited.value = undefined
}
const { misfitsOf, servedBy, servesNone } = useSpares()
/** What speaks against a thing on the bikes of this trip. */
function misfit(thing: Thing): string {
  if (servesNone(thing)) return 'serves no bike here'
  const misfits = misfitsOf(thing)
  if (misfits.length > 0) return misfits.map(({ bike, words }) => `does not fit ${bike}: ${words}`).join('. ')
  const idle = kit.analysis?.fit.idle[thing.id] ?? []
  if (idle.length === 0) return ''
  return idle.length === thing.heads.length && thing.provides.length === 0
    ? 'turns nothing on any bike here'
    : `turns nothing here: ${idle.map(headInWords).join(', ')}`
}
function doubles(thing: Thing): string {
  const names = doublesOf(thing, bench.value, kit.analysis?.fit.fasteners ?? []).map((other) => other.name)
  return names.length ? `all of it also done by ${names.slice(0, 2).join(' and ')}` : ''
}
</script>

<template>
  <div class="pb-10">
    <header
      class="md:tall:sticky top-0 z-10 flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line bg-paper px-4 pb-2 pt-3"
    >
      <div>
        <h1 class="text-2xl">Bench</h1>
        <p class="text-sm text-soft">
          <template v-if="bench.length"
            ><span class="figures">{{ bench.length }}</span> things,
            <span class="figures">{{ grams(laidG) }}</span> laid out. Weigh each; what it does decides what it is
            worth.</template
          >
          <template v-else>Everything that might come along.</template>
        </p>
      </div>
      <div class="ml-auto flex flex-wrap gap-2">
        <input
          v-if="bench.length > 5"
          v-model="filter"
          class="field w-44!"
          type="search"
          aria-label="Show only things that match"
          placeholder="show only …"
        />
        <button type="button" class="button" @click="makeOwn">
          <Plus :size="15" aria-hidden="true" />One of my own
        </button>
        <button type="button" class="button button-main" @click="showsCatalogue = true">Take from the catalogue</button>
      </div>
    </header>

    <div v-if="!bench.length" class="mx-auto max-w-xl p-6 pt-10">
      <h2 class="text-lg">An empty bench</h2>
      <p class="mt-1 text-soft">
        Lay out whatever you own: pump, levers, tubes, the folding tool, that odd hanger. Nothing is packed yet; Weigh
        will say what earns its {{ massWord }}.
      </p>
      <div class="mt-5 grid gap-4 sm:grid-cols-2">
        <div class="card flex flex-col p-4">
          <h3 class="text-base">Start from my bikes</h3>
          <p class="mt-1 flex-1 text-sm text-soft">
            What fits {{ bikeNames }}, turns every bolt of {{ store.openTrip.bikes.length > 1 ? 'theirs' : 'it' }} and
            {{ hasRoad ? 'answers this road' : 'answers a road of 150 km without a shop' }} in your hands. Change it to
            what you own afterwards.
          </p>
          <button type="button" class="button button-main mt-3 w-full" :disabled="starting" @click="startFromBikes">
            {{ starting ? 'Choosing …' : 'Lay it out' }}
          </button>
        </div>
        <div class="card flex flex-col p-4">
          <h3 class="text-base">Thing by thing</h3>
          <p class="mt-1 flex-1 text-sm text-soft">
            {{ catalogue.items.length }} things with their usual masses; or one of your own, with what it does.
          </p>
          <button type="button" class="button mt-3 w-full" @click="showsCatalogue = true">Open the catalogue</button>
        </div>
      </div>
      <p v-if="startFault" role="alert" class="mt-3 text-sm text-madder">{{ startFault }}</p>
    </div>
    <template v-else>
      <div class="bench-row head border-b border-line px-4 py-1.5 text-xs text-soft" aria-hidden="true">
        <span>thing</span><span>what it does</span><span class="text-right">one weighs</span
        ><span class="text-center">how many</span><span />
      </div>
      <ul aria-label="Things on the bench">
        <li
          v-for="thing in shown"
          :id="`bench-${thing.id}`"
          :key="thing.id"
          class="bench-row border-b border-line px-4 py-1.5"
        >
          <span class="name min-w-0">
            <span class="block font-semibold">{{ thing.name }}</span>
            <span v-if="thing.condition < 1" class="text-xs text-brass"
              >trusted to {{ Math.round(thing.condition * 100) }} %
            </span>
            <span
              v-if="verdicts.get(thing.id)"
              class="text-xs"
              :class="defined(verdicts.get(thing.id)).n ? 'font-semibold text-petrol' : 'text-soft'"
              >{{ defined(verdicts.get(thing.id)).n ? `take ${defined(verdicts.get(thing.id)).n}` : 'leave' }}</span
            >
          </span>
          <span class="does min-w-0 text-sm">
            <span class="block" :class="capabilitiesInWords(thing, catalogue).length ? '' : 'text-brass'">{{
              capabilitiesInWords(thing, catalogue).join(', ') || 'nothing said yet: answers no claim'
            }}</span>
            <span v-if="misfit(thing)" class="block text-xs text-brass">{{ misfit(thing) }}</span>
            <span v-if="doubles(thing) || thing.note || servedBy(thing).length" class="block text-xs text-soft">{{
              [servedBy(thing).length ? `for ${servedBy(thing).join(', ')}` : '', doubles(thing), thing.note]
                .filter(Boolean)
                .join('. ')
            }}</span>
          </span>
          <MeasureField
            :label="`Mass of ${thing.name}`"
            label-hidden
            :model-value="thing.massG"
            amount="mass"
            :least="0.1"
            :most="20000"
            @update:model-value="$event !== null && change(thing, { massG: $event }, `weigh ${thing.name}`)"
          />
          <CountStepper
            :count="thing.count"
            :least="1"
            :fewer="`One ${thing.name} fewer`"
            :more="`One ${thing.name} more`"
            @fewer="setCount(thing, thing.count - 1)"
            @more="setCount(thing, thing.count + 1)"
          />
          <span class="flex justify-end">
            <button type="button" class="button button-bare" :aria-label="`Change ${thing.name}`" @click="edit(thing)">
              <Pencil :size="15" aria-hidden="true" />
            </button>
            <button
              type="button"
              class="button button-bare"
              :aria-label="`Remove ${thing.name}`"
              @click="remove(thing)"
            >
              <Trash2 :size="15" aria-hidden="true" />
            </button>
          </span>
        </li>
      </ul>
      <p v-if="!shown.length" class="px-4 py-4 text-soft">Nothing on the bench matches “{{ filter }}”.</p>
    </template>

    <CatalogueDialog
      :open="showsCatalogue"
      :bench="bench"
      @close="showsCatalogue = false"
      @take="take([$event])"
      @put-back="putBack"
    />
    <ThingDialog v-if="edited" :thing="edited" :is-new="isNew" @close="edited = undefined" @keep="keep" />
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.bench-row {
  @apply grid items-center gap-3;
  grid-template-columns: minmax(9rem, 1.1fr) minmax(0, 1.9fr) 5.5rem 6rem 4.5rem;
  overflow-wrap: anywhere;
}
/* On a phone a thing has two lines and more: what it is and does, and under that what can be changed. */
@media (max-width: 47.99rem) {
  .bench-row {
    grid-template-columns: 6rem 1fr auto;
    gap: 0.25rem 0.5rem;
  }
  .head {
    display: none;
  }
  .name,
  .does {
    grid-column: 1 / -1;
  }
}
</style>
