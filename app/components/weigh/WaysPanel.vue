<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { Service, Stop } from '#core/supply'
import { againstPrices, deedKey, leastToldH, type Deed, type Price, type Way } from '#core/ways'
import { hoursInWords } from '#wording'
import { computed, ref, shallowRef } from 'vue'
import { useDeeds } from '../../composables/useDeeds'
import { walkRows } from '../../composables/walkRows'
import { beamScale } from '../../drawing/beam-scale'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import { useVerdicts, type WeighedThing } from '../../stores/verdicts'
import { useWays } from '../../stores/ways'
import AskShopDialog from '../road/AskShopDialog.vue'
import BeamRow from './BeamRow.vue'
import PriceWeights from './PriceWeights.vue'
import WayRow from './WayRow.vue'

/** Every way to buy down a risk on one scale: what is carried, done at home, practised, posted, asked, borrowed. */
const emit = defineEmits<{ thing: [id: string]; pin: [id: string] }>()
const store = useTripStore()
const selection = useSelection()
const ways = useWays()
const { taken, left } = useVerdicts()
const { isDone } = useDeeds()
ways.watchKit()

type Row = { readonly key: string; readonly netH: number; readonly priceH: number; readonly hours: number } & (
  { readonly way: Way; readonly price: Price } | { readonly thing: WeighedThing }
)
const wayRows = computed(() =>
  againstPrices(ways.found, store.openTrip, catalogue).map(({ way, price, gainH, netH }) => ({
    key: deedKey(way.deed),
    way,
    price,
    priceH: price.hours,
    hours: gainH,
    netH,
  })),
)
const thingRow = (thing: WeighedThing): Row => {
  const { priceH } = thing.verdict
  return { key: `thing ${thing.thing.id}`, thing, priceH, hours: thing.hours, netH: thing.hours - priceH }
}
const bySpared = (rows: readonly Row[]) => [...rows].sort((a, b) => b.hours - a.hours)
const open = computed(() => wayRows.value.filter(({ way }) => !isDone(way.deed)))
const best = computed(() => open.value.filter(({ netH }) => netH > 0).slice(0, 3))
const others = computed(() =>
  bySpared([...open.value.filter((row) => !best.value.includes(row)), ...left.value.map(thingRow)]),
)
const had = computed(() =>
  bySpared([...wayRows.value.filter(({ way }) => isDone(way.deed)), ...taken.value.map(thingRow)]),
)
const groups = computed(() => [
  {
    id: 'best',
    title: 'What buys most from here',
    rows: best.value,
    none: ways.isBusy
      ? ''
      : 'Nothing more that weighs nothing spares more than it costs, as an hour at home and money weigh to you.',
  },
  { id: 'others', title: 'All else that could be done', rows: others.value, none: '' },
  { id: 'had', title: 'Carried and planned', rows: had.value, none: 'Nothing so far.' },
])
const scale = computed(() => beamScale([...open.value, ...others.value, ...had.value]))

const opened = ref('')
const toggle = (key: string) => (opened.value = opened.value === key ? '' : key)

const asked = shallowRef<{ stop: Stop; service: Service; kindName: string }>()
function ask(deed: Deed) {
  if (deed.kind !== 'ask') return
  const stop = store.openTrip.stops.find(({ id }) => id === deed.stopId)
  const service = stop?.services.find(({ kind }) => kind === deed.service)
  if (!stop || !service) return
  if (deed.classId !== null) selection.classId = deed.classId
  asked.value = { stop, service, kindName: catalogue.services.find(({ id }) => id === service.kind)?.name ?? '' }
}
</script>

<template>
  <div style="--verdict-width: 7rem">
    <p class="max-w-prose px-4 pt-3 text-sm text-soft">
      A job at home, an evening, a parcel and a call weigh nothing. Here they stand beside the things, on one scale:
      left what it costs you in grams, time and money, right what it spares.
    </p>
    <p v-if="ways.isBusy" role="status" class="px-4 pt-2 text-sm text-soft">
      Weighing what weighs nothing: {{ ways.found.length }} so far …
    </p>
    <section v-for="group in groups" :key="group.id" :aria-labelledby="`${group.id}-title`" class="pt-3">
      <h2 :id="`${group.id}-title`" class="px-4 pb-1 text-base">{{ group.title }}</h2>
      <p v-if="!group.rows.length && group.none" class="px-4 pb-2 text-sm text-soft">{{ group.none }}</p>
      <ul
        v-if="group.rows.length"
        class="border-t border-line"
        :aria-labelledby="`${group.id}-title`"
        @keydown="walkRows($event, '[data-row]')"
      >
        <template v-for="row in group.rows" :key="row.key">
          <WayRow
            v-if="'way' in row"
            :way="row.way"
            :price="row.price"
            :gain-h="row.hours"
            :scale="scale"
            :open="opened === row.key"
            @toggle="toggle(row.key)"
            @ask="ask(row.way.deed)"
          />
          <BeamRow
            v-else
            :row="row.thing"
            :scale="scale"
            :selected="selection.thingId === row.thing.thing.id"
            @select="emit('thing', row.thing.thing.id)"
            @pin="emit('pin', row.thing.thing.id)"
          />
        </template>
      </ul>
    </section>
    <p class="px-4 pt-3 text-xs text-soft">
      {{ hoursInWords(leastToldH) }} and less is not told. Reckoned from planning values; a promise is no guarantee.
    </p>
    <PriceWeights />
    <AskShopDialog v-if="asked" v-bind="asked" @close="asked = undefined" />
  </div>
</template>
