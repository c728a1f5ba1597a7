<script setup lang="ts">
import { spotsOfCard, type CardSpot } from '#core/road'
import { defined, nth } from '#core/validation'
import { Minus, Plus } from '@lucide/vue'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { onSheet, sheetFor, spotAt, squaresOf, type Sheet } from '../../drawing/squared-paper'
import { useView } from '../../stores/view'

/** A route card as a drawing on squared paper: a press puts the next place, and places are drawn to where they lie. */
const props = defineProps<{ legs: readonly { name: string; km: number; bearing: number }[]; begin: string }>()
const emit = defineEmits<{ add: [spot: CardSpot]; move: [place: number, spot: CardSpot] }>()
const chosen = defineModel<number>('chosen', { required: true })
const { km, pressKm } = useView()

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 260
const spots = computed(() => spotsOfCard(props.legs))

/** The paper lies still while a place is drawn over it. */
const held = ref<Sheet>()
const wider = ref(1)
const sheet = computed(() => {
  const fitting = held.value ?? sheetFor(spots.value, width.value, height)
  return held.value ? fitting : { ...fitting, pxPerKm: fitting.pxPerKm / wider.value }
})
const squares = computed(() => squaresOf(sheet.value, width.value, height))
const places = computed(() =>
  spots.value.map((spot, i) => ({
    ...onSheet(sheet.value, width.value, height, spot),
    name: (i === 0 ? props.begin : nth(props.legs, i - 1).name) || (i === 0 ? 'the beginning' : `bend ${i}`),
    isBend: i > 0 && nth(props.legs, i - 1).name === '',
  })),
)
const path = computed(() => places.value.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join(''))

const drawn = ref<number>()
function spotOf(event: MouseEvent): CardSpot {
  const { left, top } = defined(box.value).getBoundingClientRect()
  return spotAt(sheet.value, width.value, height, event.clientX - left, event.clientY - top)
}
function grab(event: PointerEvent, place: number) {
  chosen.value = place
  if (place === 0) return
  held.value = sheet.value
  drawn.value = place
  defined(box.value).setPointerCapture(event.pointerId)
}
function draw(event: PointerEvent) {
  if (drawn.value !== undefined) emit('move', drawn.value, spotOf(event))
}
function letGo() {
  drawn.value = undefined
  held.value = undefined
}
const steps: Record<string, CardSpot> = {
  ArrowRight: { eastKm: 1, northKm: 0 },
  ArrowLeft: { eastKm: -1, northKm: 0 },
  ArrowUp: { eastKm: 0, northKm: 1 },
  ArrowDown: { eastKm: 0, northKm: -1 },
}
function moveByKey(event: KeyboardEvent, place: number) {
  const step = steps[event.key]
  if (!step || place === 0) return
  event.preventDefault()
  const times = pressKm.value * (event.shiftKey ? 10 : 1)
  const { eastKm, northKm } = nth(spots.value, place)
  emit('move', place, { eastKm: eastKm + times * step.eastKm, northKm: northKm + times * step.northKm })
}
</script>

<template>
  <div
    ref="box"
    class="relative touch-pan-y select-none overflow-hidden rounded border border-line bg-paper"
    :style="{ height: `${height}px` }"
    @pointermove="draw"
    @pointerup="letGo"
    @pointercancel="letGo"
  >
    <svg
      v-if="width"
      :width="width"
      :height="height"
      role="group"
      aria-label="The road on squared paper, north up"
      class="block cursor-crosshair"
    >
      <rect :width="width" :height="height" fill="transparent" @click="emit('add', spotOf($event))" />
      <g class="pointer-events-none stroke-line">
        <line v-for="x in squares.x" :key="`x${x}`" :x1="x" :x2="x" :y1="0" :y2="height" />
        <line v-for="y in squares.y" :key="`y${y}`" :y1="y" :y2="y" :x1="0" :x2="width" />
      </g>
      <path :d="path" class="pointer-events-none fill-none stroke-petrol" stroke-width="2.2" stroke-linejoin="round" />
      <g
        v-for="(place, i) in places"
        :key="i"
        role="button"
        tabindex="0"
        class="cursor-grab touch-none outline-none [&:focus-visible>rect]:stroke-brass"
        :aria-label="i === 0 ? `${place.name}; it stays` : `${place.name}; arrow keys move it`"
        @pointerdown.stop="grab($event, i)"
        @focus="chosen = i"
        @keydown="moveByKey($event, i)"
      >
        <circle :cx="place.x" :cy="place.y" r="16" fill="transparent" />
        <rect
          :x="place.x - (place.isBend ? 3 : 5)"
          :y="place.y - (place.isBend ? 3 : 5)"
          :width="place.isBend ? 6 : 10"
          :height="place.isBend ? 6 : 10"
          stroke-width="3"
          :class="i === chosen ? 'fill-brass stroke-brass' : 'fill-petrol stroke-transparent'"
        />
        <text
          v-if="!place.isBend"
          :x="place.x + 4"
          :y="place.y - 10"
          class="pointer-events-none fill-ink text-xs [paint-order:stroke]"
          stroke="var(--paper)"
          stroke-width="3"
        >
          {{ place.name.slice(0, 24) }}
        </text>
      </g>
    </svg>
    <p class="pointer-events-none absolute bottom-1 left-2 text-xs text-soft">
      squares of {{ km(squares.km) }}, north up
    </p>
    <div class="absolute right-1.5 top-1.5 flex gap-1">
      <button type="button" class="button button-bare bg-paper" aria-label="Draw larger" @click="wider /= 1.5">
        <Plus :size="15" aria-hidden="true" />
      </button>
      <button type="button" class="button button-bare bg-paper" aria-label="Draw smaller" @click="wider *= 1.5">
        <Minus :size="15" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>
