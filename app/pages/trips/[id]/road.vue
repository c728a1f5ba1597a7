<script setup lang="ts">
import { FileUp, Plus } from '@lucide/vue'
import { largestGpxBytes, climbRule } from '~~/core/road'
import { inOrder } from '~~/core/trip'
import type { Stop } from '~~/core/supply'

const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { km, climb } = useView()

const lines = ref<string[]>([])
const notices = ref<string[]>([])
const reading = ref(false)
const picker = useTemplateRef<HTMLInputElement>('picker')
const hasRoad = computed(() => store.trip!.road.points.length > 0)
const lengthKm = computed(() => kit.reckoning?.lengthKm ?? 0)

async function importRoad(file: File) {
  lines.value = []
  notices.value = []
  if (file.size > largestGpxBytes) {
    lines.value = [
      `${file.name}: ${Math.round(file.size / 1024 / 1024)} MB; expected a GPX file of 48 MB at most; thin the track or cut it in two`,
    ]
    return
  }
  reading.value = true
  try {
    const answer = await kit.readRoad(await file.text(), store.trip!)
    if (!answer.ok) {
      lines.value = answer.lines.map((line) => `${file.name}: ${line}`)
      return
    }
    const { road, stops, leftOut, added } = answer.next
    store.edit(`import ${file.name}`, { road, stops })
    notices.value = [
      `${answer.points} points read${added ? `, ${added} waypoints made into stops` : ''}.`,
      ...answer.warnings,
      ...(leftOut.length
        ? [`Beyond the new road’s end, and left out (undo brings them back): ${leftOut.join(', ')}.`]
        : []),
    ]
  } catch (error) {
    lines.value = [error instanceof Error ? error.message : String(error)]
  } finally {
    reading.value = false
  }
}
function picked(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) void importRoad(file)
}
const over = useFileDrop((file) => void importRoad(file))

function addStop() {
  const roadKm = Math.min(Math.round(selection.cursorKm * 10) / 10, lengthKm.value)
  const stop: Stop = {
    id: crypto.randomUUID().slice(0, 8),
    name: `Stop at ${km(roadKm)}`,
    roadKm,
    offRoadM: 0,
    services: [],
    exit: null,
    note: '',
  }
  store.edit(`add ${stop.name}`, { stops: inOrder([...store.trip!.stops, stop]) })
  void nextTick(() => document.getElementById(`stop-name-${stop.id}`)?.focus())
}
</script>

<template>
  <div class="relative min-h-full pb-10">
    <div
      v-if="over"
      class="pointer-events-none absolute inset-2 z-30 grid place-items-center rounded border-4 border-dashed border-petrol bg-paper/85 text-xl font-bold"
    >
      Drop the GPX file to lay out the road
    </div>
    <header
      class="sticky top-0 z-10 flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line bg-paper px-4 pb-2 pt-3"
    >
      <div class="min-w-0">
        <h1 class="text-2xl">Road</h1>
        <p v-if="hasRoad && kit.reckoning" class="truncate text-sm text-soft">
          {{ store.trip!.road.name || 'Unnamed road' }}: <span class="figures">{{ km(lengthKm) }}</span>,
          <template v-if="kit.reckoning.climbM !== null"
            ><span class="figures">{{ climb(kit.reckoning.climbM) }} up</span>
            <span :title="`Rises count from ${climbRule.thresholdM} m on, after a mean over ${climbRule.windowM} m`"
              >, noise smoothed</span
            ></template
          >
          <template v-else>climbs unknown</template>
        </p>
        <p v-else class="text-sm text-soft">Where help is, and how far one would have to walk.</p>
      </div>
      <div class="ml-auto flex gap-2">
        <button v-if="hasRoad" type="button" class="knob" @click="addStop">
          <Plus :size="15" aria-hidden="true" />Stop at {{ km(selection.cursorKm) }}
        </button>
        <button
          type="button"
          class="knob"
          :class="hasRoad ? '' : 'knob-main'"
          :disabled="reading"
          @click="picker?.click()"
        >
          <FileUp :size="15" aria-hidden="true" />{{
            reading ? 'Reading …' : hasRoad ? 'Replace by a GPX file' : 'Import a GPX file'
          }}
        </button>
        <input
          ref="picker"
          type="file"
          accept=".gpx,application/gpx+xml,application/xml,text/xml"
          class="sr-only"
          aria-label="GPX file"
          tabindex="-1"
          @change="picked"
        />
      </div>
    </header>
    <div class="space-y-2 px-4 pt-3 empty:hidden">
      <FaultLines :lines="lines" title="That file was not taken; the trip is as it was." />
      <div v-if="notices.length" role="status" class="rounded border border-line bg-well px-3 py-2 text-sm">
        <p v-for="notice in notices" :key="notice">{{ notice }}</p>
      </div>
    </div>

    <div v-if="!hasRoad" class="max-w-xl p-6">
      <h2 class="text-lg">No road yet</h2>
      <p class="mt-1 text-soft">
        Drop a GPX file anywhere on this page, or press the button above. Its track becomes the road, its waypoints
        become stops. Nothing leaves this machine but the points of the line.
      </p>
    </div>
    <template v-else>
      <RideSheet class="mx-4 mt-4" />
      <StopTable class="mt-4" />
      <StretchTable class="mx-4 mt-6" />
    </template>
  </div>
</template>
