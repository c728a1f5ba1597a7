<script setup lang="ts">
import { nth, defined } from '#core/validation'
import { segmentsOf, moveBoundary, setTraits, type Segment } from '#core/road'
import { computed, ref } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import { stretchMarks } from '../../drawing/stretch-marks'
import GroundPatterns from './GroundPatterns.vue'

/** What the road is made of, as a band under the strip: painted over by dragging with a brush, its edges pulled to their place. */
const props = defineProps<{
  x: (km: number) => number
  kmAt: (event: PointerEvent) => number
  y: number
  editable: boolean
}>()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { km, stretch, pressKm } = useView()

const height = 9
const lengthKm = computed(() => kit.analysis?.lengthKm ?? 0)
const stretches = computed(() => store.trip?.road.stretches ?? [])
const pieces = computed(() => segmentsOf(stretches.value, lengthKm.value))
const edges = computed(() => pieces.value.slice(1).map((piece) => piece.fromKm))
const newId = () => crypto.randomUUID().slice(0, 8)
/** To a tenth of a kilometre, but never past the end. */
const tidy = (at: number) => Math.min(Math.round(at * 10) / 10, lengthKm.value)

/** Words first: what the pointer says of a piece. */
function words(piece: Segment): string {
  const marks = [
    piece.surface,
    piece.thorns && 'thorns',
    piece.wet && 'wet',
    !piece.signal && 'no signal',
    piece.traffic !== 'quiet' && piece.traffic,
  ]
  return `${marks.filter(Boolean).join(', ')}, ${stretch(piece.fromKm, piece.toKm)}`
}

const dragging = ref<{ kind: 'paint'; fromKm: number; toKm: number } | { kind: 'edge'; edgeKm: number; toKm: number }>()
function begin(event: PointerEvent, edgeKm?: number) {
  if (!props.editable) return
  // With a brush in hand one paints, over edges too; without one, edges are pulled.
  if ((edgeKm === undefined) === !selection.brush) return
  event.stopPropagation()
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  const at = tidy(props.kmAt(event))
  dragging.value =
    edgeKm === undefined ? { kind: 'paint', fromKm: at, toKm: at } : { kind: 'edge', edgeKm, toKm: edgeKm }
}
function drag(event: PointerEvent) {
  if (!dragging.value) return
  event.stopPropagation()
  dragging.value = { ...dragging.value, toKm: tidy(props.kmAt(event)) }
}
function end() {
  const done = dragging.value
  dragging.value = undefined
  if (!done) return
  if (done.kind === 'edge') pull(done.edgeKm, done.toKm)
  else if (Math.abs(done.toKm - done.fromKm) >= 0.1) {
    const [fromKm, toKm] = [Math.min(done.fromKm, done.toKm), Math.max(done.fromKm, done.toKm)]
    put('mark the road', setTraits(stretches.value, lengthKm.value, fromKm, toKm, defined(selection.brush), newId))
  }
}
function pull(edgeKm: number, toKm: number, merge?: string) {
  if (toKm === edgeKm || toKm < 0 || toKm > lengthKm.value) return
  put('move an edge of a stretch', moveBoundary(stretches.value, lengthKm.value, edgeKm, toKm, newId), merge)
}
function put(label: string, next: typeof stretches.value, merge?: string) {
  store.edit(label, { road: { ...store.openTrip.road, stretches: next } }, merge)
}
function key(event: KeyboardEvent, edgeKm: number, index: number) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (!step || !props.editable) return
  event.preventDefault()
  event.stopPropagation()
  pull(edgeKm, tidy(edgeKm + step * pressKm.value * (event.shiftKey ? 10 : 1)), `edge-${index}`)
}
const painted = computed(() => {
  const now = dragging.value
  if (!now) return undefined
  const from = now.kind === 'paint' ? now.fromKm : now.edgeKm
  const [left, right] = [props.x(Math.min(from, now.toKm)), props.x(Math.max(from, now.toKm))]
  return { left, width: Math.max(1, right - left) }
})
</script>

<template>
  <g
    :class="editable && selection.brush ? 'cursor-crosshair' : ''"
    @pointerdown="begin($event)"
    @pointermove="drag"
    @pointerup="end"
    @pointercancel="dragging = undefined"
  >
    <GroundPatterns prefix="ground" />
    <rect :x="x(0)" :y="y" :width="Math.max(0, x(lengthKm) - x(0))" :height="height" class="fill-paper" />
    <!-- While a brush is held, a thumb may land below the band as well. -->
    <rect
      v-if="editable && selection.brush"
      :x="x(0)"
      :y="y"
      :width="Math.max(0, x(lengthKm) - x(0))"
      :height="4 * height"
      fill="transparent"
    />
    <g v-for="piece in pieces" :key="piece.fromKm">
      <title>{{ words(piece) }}</title>
      <rect
        :x="x(piece.fromKm)"
        :y="y"
        :width="Math.max(0, x(piece.toKm) - x(piece.fromKm))"
        :height="height"
        :class="piece.surface === 'asphalt' ? 'fill-soft' : ''"
        :fill="piece.surface === 'asphalt' ? undefined : `url(#ground-${piece.surface})`"
      />
      <line
        v-for="mark in stretchMarks.filter(({ holds }) => holds(piece))"
        :key="mark.name"
        :x1="x(piece.fromKm)"
        :x2="x(piece.toKm)"
        :y1="mark.isAbove ? y - 2.5 : y + height + 1.5"
        :y2="mark.isAbove ? y - 2.5 : y + height + 1.5"
        :class="mark.look"
        stroke-width="2"
        :stroke-dasharray="mark.dashes"
      />
    </g>
    <rect
      v-if="painted"
      :x="painted.left"
      :y="y - 2"
      :width="painted.width"
      :height="height + 4"
      class="pointer-events-none fill-brass stroke-brass"
      fill-opacity="0.4"
    />
    <template v-if="editable">
      <g
        v-for="(edge, i) in edges"
        :key="edge"
        role="slider"
        tabindex="0"
        :class="selection.brush ? '' : 'cursor-ew-resize'"
        :aria-label="`Edge between ${nth(pieces, i).surface} and ${nth(pieces, i + 1).surface}`"
        :aria-valuemin="0"
        :aria-valuemax="Math.round(lengthKm)"
        :aria-valuenow="Math.round(edge)"
        :aria-valuetext="km(edge)"
        @pointerdown="begin($event, edge)"
        @pointermove="drag"
        @pointerup="end"
        @keydown="key($event, edge, i)"
      >
        <rect :x="x(edge) - 5" :y="y - 3" width="10" :height="height + 6" fill="transparent" />
        <line :x1="x(edge)" :x2="x(edge)" :y1="y - 1" :y2="y + height + 1" class="stroke-ink" stroke-width="1.4" />
      </g>
    </template>
  </g>
</template>
