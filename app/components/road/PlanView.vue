<script setup lang="ts">
import { defined } from '#core/validation'
import { isHelp } from '#core/supply'
import { useElementSize } from '@vueuse/core'
import { catalogue } from '#catalogue'
import { computed, useTemplateRef } from 'vue'
import { useView } from '../../stores/view'
import { freest, planDrawing, planHeight } from '../../drawing/road-plan'
import { planLabels } from '../../drawing/road-plan-labels'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'

/** The road from above, to scale and north up; it and the strip point at the same place. */
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { km } = useView()

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
/** A road that lies along needs little height. */
const height = computed(() => {
  const plan = kit.analysis?.plan
  return plan ? planHeight(plan, width.value, 170, 340) : 340
})
const drawing = computed(() => {
  const plan = kit.analysis?.plan
  return plan && width.value > 100 ? planDrawing(plan, width.value, height.value) : undefined
})
const stops = computed(() =>
  drawing.value
    ? (store.trip?.stops ?? []).map((stop) => ({
        ...stop,
        ...defined(drawing.value).at(stop.roadKm),
        helps: isHelp(stop, catalogue.services),
        isShut: kit.analysis?.view?.shutStops.includes(stop.id) ?? false,
      }))
    : [],
)
/** Marks shrink where there are hundreds. */
const size = computed(() => Math.min(4, Math.max(1.5, width.value / Math.max(stops.value.length, 1) / 3)))
const labels = computed(() => {
  const [shown, away] = [drawing.value, size.value + 3]
  if (!shown) return []
  // The scale, with its words behind it.
  const scale = { x: 8, y: height.value - 34, width: shown.bar.px + 64, height: 34 }
  return planLabels(stops.value, width.value, height.value, away, { line: shown.points, taken: [scale] })
})
const gap = computed(() => {
  const availability = kit.analysis?.availability.find(({ classId }) => classId === selection.classId)
  return availability?.gaps[availability.longest]
})
/** The line over the longest gap of the class that is looked at. */
const gapPath = computed(() => {
  const [shown, plan] = [drawing.value, kit.analysis?.plan]
  if (!shown || !plan || !gap.value) return ''
  const { fromKm, toKm } = gap.value
  const inside = Array.from(plan.km).filter((at) => at > fromKm && at < toKm)
  return [fromKm, ...inside, toKm]
    .map((at, i) => {
      const { x, y } = shown.at(at)
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('')
})
/** North is told in a corner where there is room; the scale has the fourth. */
const north = computed(() => {
  const [right, low] = [width.value - 28, height.value - 30]
  const names = labels.value.flatMap(({ text, x, y }) => [0, 3, 6].map((px) => ({ x: x + px * text.length, y })))
  return freest(
    [
      { x: right, y: 34 },
      { x: right, y: low },
      { x: 28, y: 34 },
    ],
    [...names, ...stops.value],
  )
})
const cursor = computed(() => drawing.value?.at(selection.cursorKm))

function point(event: PointerEvent) {
  if (event.buttons === 0 && event.type === 'pointermove') return
  const { left, top } = defined(box.value).getBoundingClientRect()
  selection.cursorKm = defined(drawing.value).nearest(event.clientX - left, event.clientY - top)
}
</script>

<template>
  <section class="card overflow-hidden" aria-labelledby="plan-title">
    <h2 id="plan-title" class="px-4 pt-3 text-base">Plan</h2>
    <div ref="box" class="relative select-none print:h-auto!" :style="{ height: `${height}px` }">
      <svg
        v-if="drawing"
        :width="width"
        :height="height"
        :viewBox="`0 0 ${width} ${height}`"
        class="block touch-pan-y print:h-auto print:w-full"
        role="img"
        :aria-label="`The road from above, north up; at ${km(selection.cursorKm)}`"
        @pointerdown="point"
        @pointermove="point"
      >
        <path :d="drawing.path" class="fill-none stroke-petrol" stroke-width="2.2" stroke-linejoin="round" />
        <path
          v-if="gapPath"
          :d="gapPath"
          class="fill-none stroke-brass"
          stroke-width="5"
          opacity="0.55"
          stroke-linejoin="round"
        />
        <g v-for="stop in stops" :key="stop.id">
          <title>{{ stop.name }}, {{ km(stop.roadKm) }}</title>
          <rect
            v-if="stop.helps"
            :x="stop.x - size"
            :y="stop.y - size"
            :width="2 * size"
            :height="2 * size"
            rx="1"
            :class="stop.isShut ? 'fill-paper stroke-ink' : 'fill-ink stroke-paper'"
            :stroke-width="size / 4"
          />
          <circle
            v-else
            :cx="stop.x"
            :cy="stop.y"
            :r="size * 0.75"
            class="fill-paper stroke-ink"
            :stroke-width="size / 3"
          />
        </g>
        <!-- Under the names: wherever one is, the place there can be read. -->
        <g v-if="cursor" class="pointer-events-none">
          <circle :cx="cursor.x" :cy="cursor.y" r="8" class="fill-none stroke-ink" stroke-width="2" />
          <circle :cx="cursor.x" :cy="cursor.y" r="1.8" class="fill-ink" />
        </g>
        <text
          v-for="label in labels"
          :key="label.id"
          :x="label.x"
          :y="label.y"
          class="pointer-events-none fill-ink stroke-paper text-[11px] [paint-order:stroke]"
          stroke-width="3"
        >
          {{ label.text }}
        </text>
        <g :transform="`translate(${north.x} ${north.y})`" class="fill-soft text-[11px]" aria-hidden="true">
          <path d="M0 -16 L5 4 L0 0 L-5 4 Z" />
          <text y="18" text-anchor="middle">north</text>
        </g>
        <g :transform="`translate(16 ${height - 18})`" class="stroke-soft" aria-hidden="true">
          <path :d="`M0 -4V0H${drawing.bar.px}V-4`" fill="none" stroke-width="1.4" />
          <text :x="drawing.bar.px + 6" y="2" class="fill-soft stroke-none text-[11px]">{{ km(drawing.bar.km) }}</text>
        </g>
      </svg>
    </div>
  </section>
</template>
