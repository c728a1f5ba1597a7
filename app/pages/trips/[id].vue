<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { statusOf, linesOf } from '~/composables/useApi'

definePageMeta({ middleware: 'signed-in' })

const route = useRoute()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()

const lines = ref<string[]>([])
const missing = ref(false)
const showsFind = ref(false)
const showsKeys = ref(false)
const showsBalance = ref(false)
/** Whether there is room for the balance beside the stage. */
const wide = useMediaQuery('(min-width: 64rem)')
const tripId = computed(() => String(route.params.id))

async function load() {
  missing.value = false
  lines.value = []
  kit.clear()
  selection.clear()
  try {
    await store.load(tripId.value)
  } catch (error) {
    if (statusOf(error) === 404) missing.value = true
    else lines.value = linesOf(error)
  }
}
watch(tripId, load, { immediate: true })
watch(
  () => store.trip,
  (trip) => trip && void kit.reckon(trip),
)
watch(
  () => kit.reckoning?.view?.worst.atKm,
  (atKm) => {
    if (atKm !== undefined && selection.cursorKm === 0) selection.cursorKm = Math.round(atKm * 10) / 10
  },
)
onBeforeUnmount(() => {
  void store.save()
  kit.clear()
})

useKeys(
  {
    ...Object.fromEntries(
      stages.map((stage) => [stage.key, () => void navigateTo(`/trips/${tripId.value}/${stage.id}`)]),
    ),
    '/': () => (showsFind.value = true),
    '?': () => (showsKeys.value = true),
  },
  { z: () => store.undo(), 'shift+z': () => store.redo(), y: () => store.redo() },
)

const leaving = (event: BeforeUnloadEvent) => {
  if (store.dirty.size > 0 || store.saving === 'saving') event.preventDefault()
}
onMounted(() => window.addEventListener('beforeunload', leaving))
onBeforeUnmount(() => window.removeEventListener('beforeunload', leaving))

const stageName = computed(() => stages.find((stage) => route.path.endsWith(`/${stage.id}`))?.name ?? '')
useHead({ title: () => `${stageName.value} · ${store.trip?.name ?? 'Trip'} · Rag Tin` })

const { move } = useStopEdits()
const moveStop = (id: string, roadKm: number) =>
  move(
    store.trip!.stops.find((stop) => stop.id === id)!,
    roadKm,
    `move ${id}`,
  )
</script>

<template>
  <div class="flex h-full flex-col">
    <TinHeader @find="showsFind = true" @keys="showsKeys = true" />
    <main v-if="missing" class="mx-auto max-w-md p-8">
      <h1 class="text-2xl">There is no such trip</h1>
      <p class="mt-2 text-soft">It may be somebody else’s, or have been thrown away.</p>
      <NuxtLink to="/trips" class="knob knob-main mt-4">All trips</NuxtLink>
    </main>
    <main v-else-if="lines.length" class="mx-auto w-full max-w-md p-8">
      <h1 class="mb-3 text-2xl">The trip could not be opened</h1>
      <FaultLines :lines="lines" />
      <button type="button" class="knob mt-4" @click="load">Try again</button>
    </main>
    <p v-else-if="!store.trip" role="status" class="p-8 text-soft">Opening the tin …</p>
    <template v-else>
      <RoadStrip :editable="stageName === 'Road'" @move="moveStop" />
      <BalanceLine v-if="!wide" @click="showsBalance = true" />
      <div v-if="store.problems.length" class="m-2 flex items-start gap-2">
        <FaultLines class="flex-1" title="Not saved yet; what was saved before is safe." :lines="store.problems" />
        <button type="button" class="knob" @click="store.save()">Save now</button>
      </div>
      <div class="flex min-h-0 flex-1 max-md:flex-col">
        <StageNav />
        <main class="min-h-0 min-w-0 flex-1 overflow-y-auto bg-paper">
          <NuxtPage />
        </main>
        <aside
          v-if="wide"
          aria-label="Balance and claims"
          class="min-h-0 shrink-0 overflow-y-auto border-line bg-ground w-[21.5rem] border-l"
          tabindex="0"
        >
          <BalancePanel />
          <ThingPanel v-if="selection.thingId" closable />
          <OpenClaims v-else />
        </aside>
      </div>
      <template v-if="!wide">
        <TinDialog :open="showsBalance" title="The balance" flush @close="showsBalance = false"
          ><BalancePanel untitled
        /></TinDialog>
        <TinDialog :open="selection.thingId !== ''" title="Claims" flush @close="selection.thingId = ''"
          ><ThingPanel
        /></TinDialog>
      </template>
      <FindDialog :open="showsFind" @close="showsFind = false" />
      <KeysDialog :open="showsKeys" @close="showsKeys = false" />
      <ConflictDialog v-if="store.conflict" />
    </template>
  </div>
</template>
