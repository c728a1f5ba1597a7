<script setup lang="ts">
import { nth } from '#core/validation'
import { segmentsOf, moveBoundary, setTraits, surfaces, traffics, type Segment, type StretchTraits } from '#core/road'
import { Brush, Plus } from '@lucide/vue'
import { computed, onBeforeUnmount } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import MeasureField from '../common/MeasureField.vue'
import StretchSwatch from './StretchSwatch.vue'

/** What the road is like from end to end: painted along the strip with a brush, or set row by row. */
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()

const road = computed(() => store.openTrip.road)
const lengthKm = computed(() => kit.analysis?.lengthKm ?? 0)
const pieces = computed(() => segmentsOf(road.value.stretches, lengthKm.value))
const newId = () => crypto.randomUUID().slice(0, 8)

/** What one can say of a road with one stroke. */
const brushes: { name: string; says: Partial<StretchTraits> }[][] = [
  surfaces.map((surface) => ({ name: surface, says: { surface } })),
  [
    { name: 'thorns', says: { thorns: true } },
    { name: 'no thorns', says: { thorns: false } },
  ],
  [
    { name: 'wet', says: { wet: true } },
    { name: 'dry', says: { wet: false } },
  ],
  [
    { name: 'no signal', says: { signal: false } },
    { name: 'signal', says: { signal: true } },
  ],
  traffics.map((traffic) => ({ name: traffic, says: { traffic } })),
]
const isPicked = (says: Partial<StretchTraits>) => JSON.stringify(selection.brush) === JSON.stringify(says)
function pick(says: Partial<StretchTraits>) {
  selection.brush = isPicked(says) ? undefined : says
}
onBeforeUnmount(() => (selection.brush = undefined))

function say(piece: Segment, says: Partial<StretchTraits>) {
  store.edit('mark the road', {
    road: {
      ...road.value,
      stretches: setTraits(road.value.stretches, lengthKm.value, piece.fromKm, piece.toKm, says, newId),
    },
  })
}
function pull(edgeKm: number, toKm: number) {
  const stretches = moveBoundary(road.value.stretches, lengthKm.value, edgeKm, toKm, newId)
  store.edit('move an edge of a stretch', { road: { ...road.value, stretches } })
}
/** Cuts the piece the cursor stands in, by marking what lies behind it. */
function add() {
  const at = Math.round(selection.cursorKm * 10) / 10
  const piece = pieces.value.find(({ fromKm, toKm }) => fromKm <= at && at < toKm)
  if (!piece) return
  const surface = nth(surfaces, (surfaces.indexOf(piece.surface) + 1) % surfaces.length)
  say({ ...piece, fromKm: at }, { surface })
}
</script>

<template>
  <details class="card">
    <summary class="px-4 py-2.5 font-semibold">
      Surfaces
      <span class="font-normal text-soft"
        >and thorns, water, signal and company:
        {{ pieces.length === 1 ? 'one stretch' : `${pieces.length} stretches` }}; unmarked is dry, quiet gravel</span
      >
    </summary>
    <div class="border-t border-line p-4">
      <p id="brush-title" class="text-sm text-soft print:hidden">
        <Brush :size="14" class="inline" aria-hidden="true" /> Pick a brush, then drag along the band under the strip;
        the band’s edges can be dragged without one.
      </p>
      <div class="mt-2 flex flex-wrap gap-x-4 gap-y-1.5" role="group" aria-labelledby="brush-title">
        <span v-for="(group, g) in brushes" :key="g" class="flex flex-wrap gap-1">
          <button
            v-for="brush in group"
            :key="brush.name"
            type="button"
            class="inline-flex items-center gap-1.5 rounded-sm border px-2 py-0.5 text-sm max-md:min-h-11"
            :class="
              isPicked(brush.says) ? 'border-petrol bg-petrol-wash font-semibold' : 'border-line hover:border-petrol'
            "
            :aria-pressed="isPicked(brush.says)"
            @click="pick(brush.says)"
          >
            <StretchSwatch :says="brush.says" />{{ brush.name }}
          </button>
        </span>
      </div>
      <ul class="mt-4 space-y-1.5" aria-label="Stretches of the road">
        <li v-for="(piece, i) in pieces" :key="piece.fromKm" class="flex flex-wrap items-center gap-2 text-sm">
          <MeasureField
            class="w-24"
            label="From"
            label-hidden
            :model-value="piece.fromKm"
            amount="road"
            :least="i === 0 ? 0 : nth(pieces, i - 1).fromKm + 0.01"
            :most="i === 0 ? 0 : piece.toKm - 0.01"
            @update:model-value="$event !== null && pull(piece.fromKm, $event)"
          />
          <span class="text-soft">to</span>
          <MeasureField
            class="w-24"
            label="To"
            label-hidden
            :model-value="piece.toKm"
            amount="road"
            :least="i === pieces.length - 1 ? lengthKm : piece.fromKm + 0.01"
            :most="i === pieces.length - 1 ? lengthKm : nth(pieces, i + 1).toKm - 0.01"
            @update:model-value="$event !== null && pull(piece.toKm, $event)"
          />
          <select
            class="field w-32!"
            :value="piece.surface"
            aria-label="Surface"
            @change="say(piece, { surface: ($event.target as HTMLSelectElement).value as StretchTraits['surface'] })"
          >
            <option v-for="surface in surfaces" :key="surface" :value="surface">{{ surface }}</option>
          </select>
          <select
            class="field w-24!"
            :value="piece.traffic"
            aria-label="Company"
            @change="say(piece, { traffic: ($event.target as HTMLSelectElement).value as StretchTraits['traffic'] })"
          >
            <option v-for="traffic in traffics" :key="traffic" :value="traffic">{{ traffic }}</option>
          </select>
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="size-4 accent-petrol"
              :checked="piece.thorns"
              @change="say(piece, { thorns: !piece.thorns })"
            />thorns</label
          >
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="size-4 accent-petrol"
              :checked="piece.wet"
              @change="say(piece, { wet: !piece.wet })"
            />wet</label
          >
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="size-4 accent-petrol"
              :checked="!piece.signal"
              @change="say(piece, { signal: !piece.signal })"
            />no signal</label
          >
        </li>
      </ul>
      <button type="button" class="button mt-3" @click="add">
        <Plus :size="15" aria-hidden="true" />A new stretch from the cursor on
      </button>
    </div>
  </details>
</template>
