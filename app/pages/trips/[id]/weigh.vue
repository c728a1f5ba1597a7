<script setup lang="ts">
import { reckoningNow } from '#core/trip'
import { defined } from '#core/validation'
import { classInWords } from '#wording'
import { catalogue } from '#catalogue'
import { NuxtLink } from '#components'
import { navigateTo, useRoute } from '#imports'
import { computed, onMounted, onUnmounted, watch } from 'vue'
import TermHint from '../../../components/common/TermHint.vue'
import StressPanel from '../../../components/weigh/StressPanel.vue'
import StancesPanel from '../../../components/weigh/StancesPanel.vue'
import WaysPanel from '../../../components/weigh/WaysPanel.vue'
import FrontierPanel from '../../../components/weigh/FrontierPanel.vue'
import KitsPanel from '../../../components/weigh/KitsPanel.vue'
import DrawnTrips from '../../../components/weigh/DrawnTrips.vue'
import OlderTrip from '../../../components/weigh/OlderTrip.vue'
import WhatCanFail from '../../../components/weigh/WhatCanFail.vue'
import RoomNames from '../../../components/frame/RoomNames.vue'
import AssumptionsCard from '../../../components/weigh/AssumptionsCard.vue'
import TinPanel from '../../../components/weigh/TinPanel.vue'
import ToGetPanel from '../../../components/weigh/ToGetPanel.vue'
import LeftToLuck from '../../../components/weigh/LeftToLuck.vue'
import BeamRow from '../../../components/weigh/BeamRow.vue'
import { walkRows } from '../../../composables/walkRows'
import { useWide } from '../../../composables/useWide'
import { beamScale } from '../../../drawing/beam-scale'
import { useVerdicts } from '../../../stores/verdicts'
import { useView } from '../../../stores/view'
import { useShed } from '../../../stores/shed'
import { useKitStore } from '../../../stores/kit'
import { useSelection } from '../../../stores/selection'
import { useTripStore } from '../../../stores/trip'

const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { stretch, massWord } = useView()
const { taken, left, gap } = useVerdicts()
const wide = useWide()
void useShed().open()

onMounted(() => kit.proveWhileWeighing(true))
onUnmounted(() => kit.proveWhileWeighing(false))

// A bench that is weighed for the first time begins with the price that this road suggests, and keeps it.
watch(
  () => store.trip?.dials.gramsPerHour === null && kit.kit && kit.weighed?.built.ledger.gramsPerHour,
  (usual) => {
    if (typeof usual !== 'number' || store.access.role !== 'owner') return
    const dials = { ...store.openTrip.dials, gramsPerHour: usual, reckoning: reckoningNow }
    store.edit('begin the dial', { dials }, 'dial')
  },
  { immediate: true },
)

const all = computed(() => [...taken.value, ...left.value])
const scale = computed(() => beamScale(all.value.map(({ verdict, hours }) => ({ priceH: verdict.priceH, hours }))))

function select(id: string) {
  selection.thingId = selection.thingId === id ? '' : id
}
function togglePin(id: string) {
  const verdict = defined(all.value.find(({ thing }) => thing.id === id)).verdict
  const bench = store.openTrip.bench.map((thing) =>
    thing.id === id ? { ...thing, pin: thing.pin ? null : { min: verdict.n, max: verdict.n } } : thing,
  )
  const thing = defined(bench.find((candidate) => candidate.id === id))
  store.edit(`${thing.pin ? 'pin' : 'unpin'} ${thing.name}`, { bench })
}

const rooms = [
  { id: 'things', name: 'Things' },
  { id: 'ways', name: 'Every way' },
  { id: 'stances', name: 'Stances' },
  { id: 'frontier', name: 'Light to heavy' },
  { id: 'kits', name: 'Kits' },
  { id: 'stress', name: 'Bad days' },
  { id: 'failures', name: 'What can fail' },
  { id: 'trips', name: 'Drawn trips' },
] as const
type RoomId = (typeof rooms)[number]['id']
const route = useRoute()
const room = computed<RoomId>(() => rooms.find(({ id }) => id === route.query.room)?.id ?? 'things')
const go = (id: RoomId) =>
  void navigateTo({ path: `/trips/${store.id}/weigh`, query: id === 'things' ? {} : { room: id } })
</script>

<template>
  <div class="pb-10">
    <header
      class="md:tall:sticky top-0 z-10 border-b border-line bg-paper px-4 pt-3"
      :class="room === 'things' ? 'pb-2' : ''"
    >
      <div class="flex flex-wrap items-baseline gap-x-4">
        <h1 class="text-2xl">Weigh</h1>
        <p class="text-sm text-soft">
          <template v-if="gap"
            >Only what is at risk within {{ stretch(gap.fromKm, gap.toKm) }}, the gap without
            {{ classInWords(selection.classId, catalogue.families) }}.
            <button type="button" class="underline" @click="selection.showClass('')">
              Show the whole road
            </button></template
          >
          <template v-else-if="room === 'things'"
            >Each thing against the hours it spares. The longer side of a <TermHint term="beam" /> is the
            heavier.</template
          >
        </p>
      </div>
      <RoomNames :rooms="rooms" :room="room" @go="go" />
      <div
        v-if="all.length && room === 'things'"
        class="head mt-2 grid gap-2 text-xs text-soft max-md:hidden"
        aria-hidden="true"
      >
        <span>on the bench</span><span /><span
          class="grid gap-2"
          :style="{ gridTemplateColumns: `${scale.left}fr ${1 - scale.left}fr` }"
          ><span class="text-right">{{ massWord }} it costs</span><span>hours it spares</span></span
        ><span /><span class="text-right">verdict</span>
      </div>
    </header>

    <OlderTrip v-if="room === 'things'" />
    <div v-if="!store.openTrip.road.points.length || !store.openTrip.bench.length" class="max-w-xl p-6">
      <h2 class="text-lg">Nothing to weigh yet</h2>
      <p class="mt-1 text-soft">A verdict needs a road to walk out from and a thing to carry.</p>
      <div class="mt-4 flex gap-2">
        <NuxtLink v-if="!store.openTrip.road.points.length" class="button button-main" :to="`/trips/${store.id}/road`"
          >Import the road</NuxtLink
        >
        <NuxtLink
          v-if="!store.openTrip.bench.length"
          class="button"
          :class="{ 'button-main': store.openTrip.road.points.length }"
          :to="`/trips/${store.id}/bench`"
          >Lay things on the bench</NuxtLink
        >
      </div>
    </div>

    <WaysPanel v-else-if="room === 'ways'" @thing="select" @pin="togglePin" />
    <StancesPanel v-else-if="room === 'stances'" />
    <FrontierPanel v-else-if="room === 'frontier'" />
    <KitsPanel v-else-if="room === 'kits'" />
    <StressPanel v-else-if="room === 'stress'" />
    <WhatCanFail v-else-if="room === 'failures'" />
    <DrawnTrips v-else-if="room === 'trips'" />
    <div v-else @keydown="walkRows($event, '[data-row]')">
      <h2 class="sr-only">What comes along</h2>
      <ul aria-label="What comes along">
        <BeamRow
          v-for="row in taken"
          :key="row.thing.id"
          :row="row"
          :scale="scale"
          :selected="selection.thingId === row.thing.id"
          @select="select(row.thing.id)"
          @pin="togglePin(row.thing.id)"
        />
      </ul>
      <p v-if="kit.kit && !taken.length" class="px-4 py-3 text-soft">At this dial nothing earns its {{ massWord }}.</p>
      <div v-if="left.length" class="waterline flex items-center gap-3 px-4 py-2">
        <h2 class="text-sm font-semibold text-soft">Below the waterline: stays at home</h2>
      </div>
      <ul aria-label="What stays at home">
        <BeamRow
          v-for="row in left"
          :key="row.thing.id"
          :row="row"
          :scale="scale"
          :selected="selection.thingId === row.thing.id"
          @select="select(row.thing.id)"
          @pin="togglePin(row.thing.id)"
        />
      </ul>
      <p v-if="!kit.kit && !kit.failure" role="status" class="px-4 py-6 text-soft">
        Reckoning what each thing spares …
      </p>
      <ToGetPanel />
      <TinPanel />
      <LeftToLuck v-if="!wide" class="mt-6" />
      <AssumptionsCard class="mx-4 mt-6" />
    </div>
  </div>
</template>

<style scoped>
.head {
  grid-template-columns: minmax(0, 15rem) 4rem minmax(0, 1fr) 4.2rem 4.8rem;
}
.waterline::after {
  content: '';
  flex: 1;
  height: 6px;
  background: radial-gradient(circle at 6px -3px, transparent 6px, var(--petrol) 6.5px, transparent 8px) repeat-x 0 0 /
    12px 6px;
}
</style>
