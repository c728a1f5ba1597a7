<script setup lang="ts">
import { defined } from '#core/validation'
import { mayBring } from '#core/access'
import { laidOutG, shopOf, thingSchema, withCount, type Thing } from '#core/bench'
import { doublesOf } from '#core/fit'
import { headInWords, capabilitiesInWords, verdictInWords } from '#wording'
import { Plus, Scale } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { navigateTo, useRoute } from '#imports'
import { computed, defineAsyncComponent, ref, shallowRef, type Component } from 'vue'
import CatalogueDialog from '../../../components/bench/CatalogueDialog.vue'
import CandidatesPanel from '../../../components/bench/CandidatesPanel.vue'
import ForStrangersPanel from '../../../components/bench/ForStrangersPanel.vue'
import OneForSeveralPanel from '../../../components/bench/OneForSeveralPanel.vue'
import RoomNames from '../../../components/frame/RoomNames.vue'
import ThingHeads from '../../../components/bench/ThingHeads.vue'
import ThingLine from '../../../components/bench/ThingLine.vue'
import FromShedDialog from '../../../components/bench/FromShedDialog.vue'
import PartDialog from '../../../components/bench/PartDialog.vue'
import ThingDialog from '../../../components/bench/ThingDialog.vue'
import { useBench } from '../../../composables/useBench'
import { useCatalogueFit } from '../../../composables/useCatalogueFit'
import { useFirstBench } from '../../../composables/useFirstBench'
import { useTripShed } from '../../../composables/useTripShed'
import { useShed } from '../../../stores/shed'
import { useSpares } from '../../../stores/spares'
import { useView } from '../../../stores/view'
import { useKitStore } from '../../../stores/kit'
import { useTripStore } from '../../../stores/trip'

const rooms = [
  { id: 'things', name: 'Things' },
  { id: 'candidates', name: 'Tools side by side' },
] as const
type RoomId = (typeof rooms)[number]['id']
const route = useRoute()
const room = computed<RoomId>(() => rooms.find(({ id }) => id === route.query.room)?.id ?? 'things')
const go = (id: RoomId) =>
  void navigateTo({ path: `/trips/${store.id}/bench`, query: id === 'things' ? {} : { room: id } })

const store = useTripStore()
const kit = useKitStore()
const { grams, massWord, shopInWords } = useView()
const { take, putBack } = useBench()
const { whyNot } = useCatalogueFit()

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

const { things: owned, open: openShed } = useShed()
void openShed()
const { elsewhere, ownedBy, differenceOf, takeOver, tellShed, own } = useTripShed()
/** Of what lies here, what nobody is known to own. */
const unowned = computed(() => bench.value.filter((thing) => !ownedBy(thing) && mayBring(store.access, thing)))
const showsShed = ref(false)
/** Weighing is done now and then. */
const WeighAll = defineAsyncComponent(() => import('../../../components/bench/WeighAll.vue') as Promise<Component>)
const weighs = ref(false)

const showsCatalogue = ref(false)
const edited = shallowRef<Thing>()
const isNew = ref(false)
/** Who of a crew of several brings a thing; empty where nobody has said so. */
const bringer = (thing: Thing) =>
  store.openTrip.crew.length > 1 ? (store.openTrip.crew.find(({ id }) => id === thing.broughtBy)?.name ?? '') : ''
/** The stop where a thing is bought on the way. */
const shopFor = (thing: Thing) => shopOf(thing, store.openTrip.stops)
/** The thing of which only a part is laid down. */
const parted = shallowRef<Thing>()

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
/** What was changed in the form before counts, if it makes sense. */
function partEdited(draft: Thing) {
  parted.value = thingSchema.safeParse(draft).data ?? edited.value
  edited.value = undefined
}
function layPart(part: Thing, instead: boolean) {
  const whole = defined(parted.value)
  const next = bench.value.flatMap((thing) => (thing.id !== whole.id ? [thing] : instead ? [part] : [whole, part]))
  put(`lay down ${part.name}`, next)
  parted.value = undefined
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
      class="md:tall:sticky top-0 z-10 flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line bg-paper px-4 pt-3"
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
      <div v-if="room === 'things'" class="ml-auto flex flex-wrap gap-2">
        <input
          v-if="bench.length > 5"
          v-model="filter"
          class="field w-44!"
          type="search"
          aria-label="Show only things that match"
          placeholder="show only …"
        />
        <button v-if="bench.length" type="button" class="button" @click="weighs = true">
          <Scale :size="15" aria-hidden="true" />Weigh them all
        </button>
        <button
          v-if="unowned.length"
          type="button"
          class="button"
          :title="`Puts ${unowned.length} things that lie here into your shed, for trips to come`"
          @click="own(unowned)"
        >
          {{ unowned.length === bench.length ? 'All this is mine' : `These ${unowned.length} are mine, too` }}
        </button>
        <button v-if="elsewhere.length" type="button" class="button" @click="showsShed = true">From the shed</button>
        <button type="button" class="button" @click="makeOwn">
          <Plus :size="15" aria-hidden="true" />One of my own
        </button>
        <button type="button" class="button button-main" @click="showsCatalogue = true">Take from the catalogue</button>
      </div>
      <RoomNames class="w-full" :rooms="rooms" :room="room" @go="go" />
    </header>

    <template v-if="room === 'candidates'">
      <CandidatesPanel />
      <OneForSeveralPanel />
      <ForStrangersPanel />
    </template>
    <div v-else-if="!bench.length" class="mx-auto max-w-xl p-6 pt-10">
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
            {{ hasRoad ? 'answers this road' : 'answers a road of 150 km without a shop' }} in your hands.
            {{
              owned.length
                ? 'All of your shed that fits comes first; what is missing comes from the catalogue.'
                : 'Change it to what you own afterwards.'
            }}
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
      <ThingHeads />
      <ul aria-label="Things on the bench">
        <li v-for="thing in shown" :id="`bench-${thing.id}`" :key="thing.id">
          <ThingLine
            :thing="thing"
            :does="capabilitiesInWords(thing, catalogue).join(', ')"
            :is-weighed="ownedBy(thing)?.isWeighed && ownedBy(thing)?.massG === thing.massG"
            :remove-words="`Remove ${thing.name}`"
            @weigh="change(thing, { massG: $event }, `weigh ${thing.name}`)"
            @count="setCount(thing, $event)"
            @edit="edit(thing)"
            @remove="remove(thing)"
          >
            <template #name>
              <span v-if="thing.condition < 1" class="text-xs text-brass"
                >trusted to {{ Math.round(thing.condition * 100) }} % ·
              </span>
              <span
                v-if="verdicts.get(thing.id)"
                class="text-xs"
                :class="defined(verdicts.get(thing.id)).n ? 'font-semibold text-petrol' : 'text-soft'"
                >{{ verdictInWords(defined(verdicts.get(thing.id)).n, shopFor(thing) !== undefined) }}</span
              >
            </template>
            <template #does>
              <span v-if="misfit(thing)" class="block text-xs text-brass">{{ misfit(thing) }}</span>
              <span v-if="differenceOf(thing)" class="flex flex-wrap items-center gap-x-2 text-xs text-brass"
                >other than in your shed: {{ differenceOf(thing) }}
                <button type="button" class="link" @click="takeOver(thing)">take the shed’s</button>
                <button type="button" class="link" @click="tellShed(thing)">tell the shed</button></span
              >
              <span
                v-else-if="owned.length && unowned.includes(thing)"
                class="flex flex-wrap items-center gap-x-2 text-xs text-soft"
                >not in your shed
                <button type="button" class="link" :aria-label="`${thing.name} is mine`" @click="own([thing])">
                  it is mine
                </button></span
              >
              <span v-if="shopFor(thing)" class="block text-xs text-soft">{{
                shopInWords(defined(shopFor(thing)))
              }}</span>
              <span v-if="bringer(thing)" class="block text-xs text-soft">brought by {{ bringer(thing) }}</span>
              <span v-if="doubles(thing) || thing.note || servedBy(thing).length" class="block text-xs text-soft">{{
                [servedBy(thing).length ? `for ${servedBy(thing).join(', ')}` : '', doubles(thing), thing.note]
                  .filter(Boolean)
                  .join('. ')
              }}</span>
            </template>
          </ThingLine>
        </li>
      </ul>
      <p v-if="!shown.length" class="px-4 py-4 text-soft">Nothing on the bench matches “{{ filter }}”.</p>
    </template>

    <CatalogueDialog
      :open="showsCatalogue"
      :taken="bench"
      :why-not="whyNot"
      @close="showsCatalogue = false"
      @take="take([$event])"
      @put-back="putBack"
    />
    <FromShedDialog v-if="showsShed" @close="showsShed = false" />
    <WeighAll v-if="weighs" @close="weighs = false" />
    <ThingDialog
      v-if="edited"
      :thing="edited"
      :is-new="isNew"
      @close="edited = undefined"
      @keep="keep"
      @part="partEdited"
    />
    <PartDialog v-if="parted" :thing="parted" @close="parted = undefined" @lay="layPart" />
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.link {
  @apply underline pointer-coarse:min-h-11;
}
</style>
