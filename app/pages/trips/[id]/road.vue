<script setup lang="ts">
import { cutTo, defined } from '#core/validation'
import { parseWallClock, timeOf, formatWallClock } from '#core/ride'
import { climbRule, refuseTooLarge } from '#core/road'
import { newStop } from '#core/supply'
import { longestTripName, sortedByKm, type NewRoad, type TripCard } from '#core/trip'
import { dayInWords } from '#wording'
import { PencilLine, Plus } from '@lucide/vue'
import { useElementSize } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import FilePicker from '../../../components/common/FilePicker.vue'
import AvailabilityList from '../../../components/road/AvailabilityList.vue'
import LinesDialog from '../../../components/road/LinesDialog.vue'
import PlaceReport from '../../../components/road/PlaceReport.vue'
import PlanView from '../../../components/road/PlanView.vue'
import ReshapeMenu from '../../../components/road/ReshapeMenu.vue'
import RideCard from '../../../components/road/RideCard.vue'
import RouteCardDialog from '../../../components/road/RouteCardDialog.vue'
import StopList from '../../../components/road/StopList.vue'
import StretchTable from '../../../components/road/StretchTable.vue'
import { focusName } from '../../../composables/focusName'
import { useFileDrop } from '../../../composables/useFileDrop'
import { useStaggered } from '../../../composables/useStaggered'
import { useView } from '../../../stores/view'
import { incomingFile } from '../../../stores/incoming-file'
import { useKitStore } from '../../../stores/kit'
import { useSelection } from '../../../stores/selection'
import { useTripStore } from '../../../stores/trip'
import type { ReadLine, RoadReading } from '../../../workers/analyser'

const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { km } = useView()

/** Heads of tables stay below the head of the stage. */
const head = useTemplateRef<HTMLElement>('head')
const { height: headHeight } = useElementSize(head, undefined, { box: 'border-box' })

const lines = ref<string[]>([])
const notices = ref<string[]>([])
const reading = ref(false)
const hasRoad = computed(() => store.openTrip.road.points.length > 0)
const lengthKm = computed(() => kit.analysis?.lengthKm ?? 0)
const turn = useStaggered(() => lengthKm.value > 0, 4)

/** @param begins whether the trip was begun with this file, and is named by it for want of better */
async function importRoad(file: File, begins = false) {
  lines.value = []
  notices.value = []
  reading.value = true
  const edit = store.editLater()
  try {
    refuseTooLarge(file.size)
    const answer = await kit.readRoad(await file.text())
    if (!answer.ok) {
      lines.value = answer.lines.map((line) => `${file.name}: ${line}`)
      return
    }
    fileName.value = file.name
    pointsBefore.value = store.trip?.road.points.length ?? 0
    lay(answer, edit, begins)
  } catch (error) {
    lines.value = [`${file.name}: ${error instanceof Error ? error.message : String(error)}`]
  } finally {
    reading.value = false
  }
}
const fileName = ref('')
const fileId = ref('')
/** How many points the road had before the last import; to tell one import of a file from another. */
const pointsBefore = ref(0)
const fileLines = shallowRef<readonly ReadLine[]>([])
const recordedAt = ref<string | null>(null)
const choosing = ref(false)

function lay(
  answer: Omit<RoadReading & { ok: true }, 'next'> & { next: NewRoad },
  edit: typeof store.edit,
  names = false,
) {
  const { road, stops, leftOut, added } = answer.next
  // A file of several lines is named by none of them.
  const name = names && answer.lines.length === 1 ? cutTo(road.name.trim(), longestTripName) : ''
  const label = `import ${fileName.value}`
  edit(label, { road, stops, ...(name && { name }) }, `${label} ${pointsBefore.value}`)
  fileId.value = answer.fileId
  fileLines.value = answer.lines
  recordedAt.value = answer.recordedAt
  notices.value = [
    `${answer.points} points read${added ? `, ${added} waypoints made into stops` : ''}.`,
    ...answer.warnings,
    ...(leftOut.length
      ? [`Beyond the new road’s end, and left out (undo brings them back): ${leftOut.join(', ')}.`]
      : []),
  ]
}
async function pickLines(numbers: number[]) {
  choosing.value = false
  const edit = store.editLater()
  const answer = await kit.readLines(fileId.value, numbers)
  if (answer.ok) lay(answer, edit)
  else lines.value = answer.lines.map((line) => `${fileName.value}: ${line}`)
}
/** When the file says that its first point was recorded, by the clock on the wall there. */
const recordedStart = computed(() => {
  if (!recordedAt.value) return undefined
  const at = parseWallClock(recordedAt.value.slice(0, 16)) + store.openTrip.ride.utcOffsetH * 60
  return at < parseWallClock('1971-01-01T00:00') ? undefined : at
})
function startAsRecorded() {
  store.edit('start as recorded', {
    ride: { ...store.openTrip.ride, start: formatWallClock(defined(recordedStart.value)) },
  })
  recordedAt.value = null
}
/** The road as it is being written down, and why it could not be laid. */
const writing = shallowRef<{ card: TripCard | undefined; refused: string[] }>()
async function write() {
  const card = await kit.routeCard()
  if (card || !hasRoad.value) writing.value = { card, refused: [] }
  else lines.value = ['This road has more places and bends than anybody writes down. Cut it first.']
}
async function layCard(card: TripCard) {
  const edit = store.editLater()
  const answer = await kit.layRouteCard(card)
  if (!writing.value) return
  if (!answer.ok) {
    writing.value = { ...writing.value, refused: answer.lines }
    return
  }
  const { leftOut, ...next } = answer.next
  edit('lay the road by hand', next)
  writing.value = undefined
  told(leftOut.length ? [`Taken off with the card (undo brings them back): ${leftOut.join(', ')}.`] : [])
}
function told(next: string[]) {
  lines.value = []
  notices.value = next
  fileLines.value = []
  recordedAt.value = null
}

const over = useFileDrop((file) => void importRoad(file))
// A file that was dropped where there was no trip yet is the road of this one.
onMounted(() => {
  const file = incomingFile.value
  incomingFile.value = undefined
  if (file) void importRoad(file, true)
})

function addStop() {
  const roadKm = Math.min(Math.round(selection.cursorKm * 10) / 10, lengthKm.value)
  const stop = newStop(crypto.randomUUID().slice(0, 8), `Stop at ${km(roadKm)}`, roadKm)
  store.edit(`add ${stop.name}`, { stops: sortedByKm([...store.openTrip.stops, stop]) })
  void focusName(`stop-name-${stop.id}`)
}
</script>

<template>
  <div class="relative min-h-full pb-10" :style="{ '--stage-head': `${headHeight}px` }">
    <div
      v-if="over"
      class="pointer-events-none absolute inset-2 z-30 grid place-items-center rounded border-4 border-dashed border-petrol bg-paper/85 text-xl font-bold"
    >
      Drop the GPX file to lay out the road
    </div>
    <header
      ref="head"
      class="flex flex-wrap md:tall:sticky top-0 md:z-10 items-end gap-x-4 gap-y-2 border-b border-line bg-paper px-4 pb-2 pt-3"
    >
      <div class="min-w-40 flex-1">
        <h1 class="text-2xl">Road</h1>
        <p
          v-if="hasRoad"
          class="truncate text-sm text-soft"
          :title="`Climbs count from ${climbRule.thresholdM} m on, after a mean over ${climbRule.windowM} m`"
        >
          {{ store.openTrip.road.name || 'Unnamed road' }}
        </p>
        <p v-else class="text-sm text-soft">Where help is, and how far one would have to walk.</p>
      </div>
      <div class="ml-auto flex flex-wrap gap-2">
        <button v-if="hasRoad" type="button" class="button" @click="addStop">
          <Plus :size="15" aria-hidden="true" />Stop at {{ km(selection.cursorKm) }}
        </button>
        <ReshapeMenu v-if="hasRoad" @done="told" @failed="lines = $event" @write="write" />
        <button v-else type="button" class="button" @click="write">
          <PencilLine :size="15" aria-hidden="true" />Write the road down
        </button>
        <FilePicker
          :class="hasRoad ? '' : 'button-main'"
          label="GPX file"
          accept=".gpx,application/gpx+xml,application/xml,text/xml"
          :disabled="reading"
          @file="importRoad($event)"
          >{{ reading ? 'Reading …' : hasRoad ? 'Replace by a GPX file' : 'Import a GPX file' }}</FilePicker
        >
      </div>
    </header>
    <div class="space-y-2 px-4 pt-3 empty:hidden">
      <FaultLines :lines="lines" title="That file was not taken; the trip is as it was." />
      <div v-if="notices.length" role="status" class="rounded border border-line bg-well px-3 py-2 text-sm">
        <p v-for="notice in notices" :key="notice">{{ notice }}</p>
        <p v-if="fileLines.length > 1 || recordedStart !== undefined" class="mt-1.5 flex flex-wrap gap-2">
          <button v-if="fileLines.length > 1" type="button" class="button" @click="choosing = true">
            Choose among its {{ fileLines.length }} lines
          </button>
          <button v-if="recordedStart !== undefined" type="button" class="button" @click="startAsRecorded">
            Begin the ride as recorded, {{ dayInWords(recordedStart) }} at {{ timeOf(recordedStart) }}
          </button>
        </p>
      </div>
    </div>

    <div v-if="!hasRoad" class="max-w-xl p-6">
      <h2 class="text-lg">No road yet</h2>
      <p class="mt-1 text-soft">
        Drop a GPX file anywhere on this page, or press the button above. Its track becomes the road, its waypoints
        become stops. Nothing leaves this machine but the points of the line.
      </p>
      <p class="mt-2 text-soft">
        Without a file, write the road down: places, distances and climbs as you know them, or a few strokes on squared
        paper.
      </p>
    </div>
    <p v-else-if="!lengthKm" role="status" class="p-6 text-soft">
      {{ kit.analysis && !kit.busy ? 'This road has no length; replace it by a GPX file.' : 'Measuring the road …' }}
    </p>
    <template v-else>
      <!-- In the order of the work: the line, the days, the stops; what follows from them comes last. -->
      <div class="mx-4 mt-4 space-y-4">
        <PlanView />
        <StretchTable v-if="turn > 0" />
        <RideCard v-if="turn > 1" />
      </div>
      <div v-if="turn > 2" class="mt-4"><StopList /></div>
      <div class="mx-4 mt-6 space-y-4">
        <AvailabilityList v-if="turn > 3" />
        <PlaceReport v-if="turn > 3" />
      </div>
    </template>
    <RouteCardDialog
      v-if="writing"
      :card="writing.card"
      :refused="writing.refused"
      @lay="layCard"
      @close="writing = undefined"
    />
    <LinesDialog v-if="choosing" :lines="fileLines" @pick="pickLines" @close="choosing = false" />
  </div>
</template>
