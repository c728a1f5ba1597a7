<script setup lang="ts">
import { defined } from '#core/validation'
import { ChevronRight } from '@lucide/vue'
import { useDocumentVisibility, useIntervalFn } from '@vueuse/core'
import { NuxtLink, NuxtPage } from '#components'
import { definePageMeta, onBeforeRouteLeave, useHead, useRoute } from '#imports'
import {
  computed,
  defineAsyncComponent,
  onBeforeUnmount,
  onMounted,
  onUnmounted,
  ref,
  shallowRef,
  useTemplateRef,
  watch,
  type Component,
} from 'vue'
import FaultLines from '../../components/common/FaultLines.vue'
import ConflictDialog from '../../components/frame/ConflictDialog.vue'
import LeaveDialog from '../../components/frame/LeaveDialog.vue'
import SupposeBar from '../../components/frame/SupposeBar.vue'
import SupposedDialog from '../../components/frame/SupposedDialog.vue'
import SavingLines from '../../components/frame/SavingLines.vue'
import StageNav from '../../components/frame/StageNav.vue'
import AppHeader from '../../components/frame/AppHeader.vue'
import { linesOf } from '../../http/api'
import { saveAs } from '../../http/save-as'
import { useKeptScroll } from '../../composables/useKeptScroll'
import { useKeys } from '../../composables/useKeys'
import { useStageKeys } from '../../composables/useStageKeys'
import { stages } from '../../composables/useStages'
import { useStopEdits } from '../../composables/useStopEdits'
import { useLow } from '../../composables/useLow'
import { useNarrow } from '../../composables/useNarrow'
import { useWide } from '../../composables/useWide'
import { useTripSessions } from '../../stores/trip-sessions'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useSupposition } from '../../stores/supposition'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'

// On the road none of these is shown, and a telephone is slow to read them.
const BalanceLine = defineAsyncComponent(() => import('../../components/weigh/BalanceLine.vue') as Promise<Component>)
const BalanceSide = defineAsyncComponent(() => import('../../components/weigh/BalanceSide.vue') as Promise<Component>)
const FindDialog = defineAsyncComponent(() => import('../../components/frame/FindDialog.vue') as Promise<Component>)
const KeysDialog = defineAsyncComponent(() => import('../../components/frame/KeysDialog.vue') as Promise<Component>)
const NextSteps = defineAsyncComponent(() => import('../../components/frame/NextSteps.vue') as Promise<Component>)
const RoadStrip = defineAsyncComponent(() => import('../../components/frame/RoadStrip.vue') as Promise<Component>)

definePageMeta({
  middleware: 'signed-in',
  // Each trip has a page of its own: nothing of one is left over in another.
  key: ({ params }) => String(params.id),
  // Without a stage, a trip is opened where it is weighed.
  redirect: ({ params }) => `/trips/${encodeURIComponent(String(params.id))}/weigh`,
})

const route = useRoute()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const supposition = useSupposition()

const lines = ref<string[]>([])
const missing = ref(false)
const signedOut = ref(false)
const showsFind = ref(false)
const showsKeys = ref(false)
const showsBalance = ref(false)
// It lies over what one now goes to, or supposes.
watch([() => store.isSupposing, () => route.path], () => (showsBalance.value = false))
const wide = useWide()
const isNarrow = useNarrow()
/** On a low window, and at great zoom, the road is folded until it is asked for. */
const isLow = useLow()
const showsRoad = ref(false)
const tripId = String(route.params.id)
const isOpen = computed(() => store.id === tripId && store.trip !== undefined)
const isGone = computed(() => isOpen.value && store.state.kind === 'gone' && store.unsaved === 0)

async function load() {
  missing.value = false
  signedOut.value = false
  lines.value = []
  const opened = await store.open(tripId).catch((error: unknown) => ({ kind: 'away' as const, lines: linesOf(error) }))
  missing.value = opened.kind === 'gone'
  signedOut.value = opened.kind === 'signed out'
  lines.value = opened.kind === 'away' ? [...opened.lines] : []
}
kit.clear()
selection.clear()
void load()
/** On the road there is no room for the frame of the plan, and nothing is weighed. */
const isOnTrail = computed(() => route.path.endsWith('/trail'))
if (isOnTrail.value) useTrail().prepare()
watch(
  () => isOpen.value && !isOnTrail.value && store.trip,
  (trip) => trip && void kit.analyse(trip),
  { immediate: true },
)
// What others have done meanwhile is taken in when one comes back to the window.
watch(useDocumentVisibility(), (visible) => visible === 'visible' && isOpen.value && void store.catchUp())
/** So often it is looked whether others who share the trip have changed it. */
const catchUpEveryMs = 10_000
useIntervalFn(() => {
  if (isOpen.value && store.access.people > 1 && !document.hidden) void store.catchUp()
}, catchUpEveryMs)
// A trip that was thrown away elsewhere is not kept here either, unless something of it is.
watch(isGone, async (gone) => {
  if (!gone) return
  missing.value = true
  await (await useTripSessions()).forget(tripId)
})
watch(
  () => kit.analysis?.view?.worst.atKm,
  (atKm) => {
    if (atKm !== undefined && selection.cursorKm === 0) selection.cursorKm = Math.round(atKm * 10) / 10
  },
)
onUnmounted(() => {
  kit.clear()
  void store.leave(tripId)
})

useKeys(
  {
    ...useStageKeys(tripId),
    '/': () => (showsFind.value = true),
    '?': () => (showsKeys.value = true),
    i: () => supposition.begin(),
  },
  { z: () => store.undo(), 'shift+z': () => store.redo(), y: () => store.redo() },
)

const leaving = (event: BeforeUnloadEvent) => {
  if (store.state.kind === 'clean' && !store.isOtherwise) return
  void store.tryAgain()
  event.preventDefault()
}
onMounted(() => window.addEventListener('beforeunload', leaving))
onBeforeUnmount(() => window.removeEventListener('beforeunload', leaving))

/** Whether to leave is being asked; what to do with the answer. */
const leave = shallowRef<(goes: boolean) => void>()
/** The same where something is only supposed. */
const leaveSupposed = shallowRef<(goes: boolean) => void>()
onBeforeRouteLeave(() => {
  if (!store.isOtherwise) return true
  return new Promise<boolean>((answered) => {
    leaveSupposed.value = (goes) => {
      leaveSupposed.value = undefined
      answered(goes)
    }
  })
})
onBeforeRouteLeave(() => {
  if (!['refused', 'conflict', 'gone'].includes(store.state.kind) || store.unsaved === 0) return true
  return new Promise<boolean>((answered) => {
    leave.value = (goes) => {
      leave.value = undefined
      answered(goes)
    }
  })
})

/** Whether something is said over the foot of the page, so that it must go on below it. */
const speaks = computed(
  () => store.notice !== '' || store.takenIn.length > 0 || !['clean', 'dirty', 'saving'].includes(store.state.kind),
)

const main = useTemplateRef<HTMLElement>('main')
useKeptScroll(
  () => main.value,
  () => route.fullPath,
)

const stageName = computed(() => stages.find((stage) => route.path.endsWith(`/${stage.id}`))?.name ?? '')
/** What is lacking is shown in red once something was laid. */
const bench = computed(() => (store.trip?.bench.length === 0 ? 'empty' : undefined))
useHead({
  htmlAttrs: { 'data-bench': bench },
  title: () => `${stageName.value} · ${store.trip?.name ?? 'Trip'} · Rag Tin`,
})

async function downloadRoad(withTimes: boolean) {
  const { name } = store.openTrip
  saveAs(new Blob([await kit.roadAsGpx(withTimes)], { type: 'application/gpx+xml' }), `${name}.gpx`)
}

const { move } = useStopEdits()
const moveStop = (id: string, roadKm: number) =>
  move(defined(store.openTrip.stops.find((stop) => stop.id === id)), roadKm, `move ${id}`)
</script>

<template>
  <div class="window flex h-full flex-col">
    <AppHeader :in-trip="isOpen" @find="showsFind = true" @keys="showsKeys = true" @road="downloadRoad" />
    <main v-if="missing" class="mx-auto max-w-md p-8">
      <h1 class="text-2xl">There is no such trip</h1>
      <p class="mt-2 text-soft">It may be somebody else’s, or have been thrown away.</p>
      <NuxtLink to="/trips" class="button button-main mt-4">All trips</NuxtLink>
    </main>
    <main v-else-if="lines.length" class="mx-auto w-full max-w-md p-8">
      <h1 class="mb-3 text-2xl">The trip could not be opened</h1>
      <FaultLines :lines="lines" />
      <button type="button" class="button mt-4" @click="load">Try again</button>
    </main>
    <main v-else-if="signedOut" class="mx-auto w-full max-w-md p-8">
      <h1 class="text-2xl">Your sign-in has ended</h1>
      <p class="mt-2 text-soft">This trip is not on this device.</p>
      <NuxtLink :to="{ path: '/', query: { next: route.fullPath } }" class="button button-main mt-4"
        >Sign in again</NuxtLink
      >
    </main>
    <p v-else-if="!isOpen" role="status" class="p-8 text-soft">Opening the tin …</p>
    <template v-else>
      <div v-if="isLow && !isOnTrail" class="on-screen flex items-stretch border-b border-line bg-ground">
        <button
          type="button"
          class="flex shrink-0 items-center gap-1 px-4 text-sm font-semibold pointer-coarse:min-h-11"
          :aria-expanded="showsRoad"
          @click="showsRoad = !showsRoad"
        >
          <ChevronRight :size="15" aria-hidden="true" :class="showsRoad ? 'rotate-90' : ''" />The road
        </button>
        <BalanceLine v-if="!wide" class="min-w-0 flex-1 border-b-0!" @click="showsBalance = true" />
      </div>
      <SupposeBar />
      <RoadStrip v-if="!isOnTrail && (!isLow || showsRoad)" :editable="stageName === 'Road'" @move="moveStop" />
      <BalanceLine v-if="!wide && !isLow && !isOnTrail" @click="showsBalance = true" />
      <div class="window flex min-h-0 flex-1 max-md:flex-col">
        <StageNav v-if="!isOnTrail || !isNarrow" class="on-screen" />
        <div class="window relative flex min-h-0 min-w-0 flex-1 flex-col">
          <main ref="main" class="window min-h-0 flex-1 overflow-y-auto bg-paper" :class="speaks ? 'pb-28' : ''">
            <NextSteps v-if="!isOnTrail" />
            <NuxtPage />
          </main>
          <SavingLines class="on-screen" />
        </div>
        <BalanceSide v-if="!isOnTrail" v-model:shows-balance="showsBalance" />
      </div>
      <template v-if="!isOnTrail || showsFind || showsKeys">
        <FindDialog :open="showsFind" @close="showsFind = false" />
        <KeysDialog :open="showsKeys" @close="showsKeys = false" />
      </template>
      <ConflictDialog v-if="store.state.kind === 'conflict'" />
      <SupposedDialog
        v-if="leaveSupposed"
        @keep="(supposition.keep(), leaveSupposed(true))"
        @let-go="(supposition.letGo(), leaveSupposed(true))"
        @stay="leaveSupposed(false)"
      />
      <LeaveDialog v-if="leave" @leave="leave(true)" @stay="leave(false)" />
    </template>
  </div>
</template>
