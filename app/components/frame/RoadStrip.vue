<script setup lang="ts">
import { nth, defined } from '#core/validation'
import { pointBefore } from '#core/road'
import { isHelp } from '#core/supply'
import { classInWords, hoursInWords, wayToHelpInWords } from '#wording'
import { useElementSize } from '@vueuse/core'
import { catalogue } from '#catalogue'
import { scaleLinear } from 'd3-scale'
import { area, curveLinear, line } from 'd3-shape'
import { computed, useTemplateRef } from 'vue'
import { useView } from '../../stores/view'
import { stripLabels, stripTitleX } from '../../drawing/road-strip-labels'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useSupposition } from '../../stores/supposition'
import { useTripStore } from '../../stores/trip'
import SurfaceBand from './SurfaceBand.vue'

/** The road from end to end: heights, hours to help, stops, gaps. Stops can be moved where editable. */
const props = defineProps<{ editable?: boolean }>()
const emit = defineEmits<{ move: [stopId: string, roadKm: number] }>()

const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const supposition = useSupposition()
const { km, climb, pressKm } = useView()

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 142
const base = 82
/** Where the band of surfaces lies, under the stops. */
const band = 92
/** Where the names are written. */
const names = 118
const top = 22

const lengthKm = computed(() => kit.analysis?.lengthKm ?? 0)
const view = computed(() => kit.analysis?.view)
const x = computed(() => scaleLinear([0, Math.max(lengthKm.value, 1e-6)], [6, Math.max(width.value - 6, 10)]))
/** How it was, where something is supposed. */
const viewBefore = computed(() => (supposition.isOn ? supposition.before?.view : undefined))
const hours = computed(() => {
  const worstH = Math.max(view.value?.worst.worstH ?? 1, viewBefore.value?.worst.worstH ?? 0, 0.5)
  return scaleLinear([0, worstH], [base, top])
})
type WalkOut = NonNullable<typeof view.value>['walkOut']
const pointsOf = (walk: WalkOut) =>
  Array.from(walk.km, (at, i) => [x.value(at), hours.value(nth(walk.hours, i))] as [number, number])

/** The hours to help before, as a line where they are others now. */
const pathBefore = computed(() => {
  const [before, now] = [viewBefore.value?.walkOut, view.value?.walkOut]
  if (!before || !now) return ''
  const isSame =
    before.hours.length === now.hours.length && Array.from(before.hours).every((each, i) => each === now.hours[i])
  return isSame ? '' : (line()(pointsOf(before)) ?? '')
})
const walkPath = computed(() => {
  const walk = view.value?.walkOut
  if (!walk) return { fill: '', edge: '' }
  const points = pointsOf(walk)
  return {
    fill:
      area(
        (p) => p[0],
        base,
        (p) => p[1],
      ).curve(curveLinear)(points) ?? '',
    edge:
      line(
        (p) => p[0],
        (p) => p[1],
      )(points) ?? '',
  }
})
const hillPath = computed(() => {
  const profile = kit.analysis?.profile
  if (!profile) return ''
  const high = Math.max(...profile.eleM)
  const low = Math.min(...profile.eleM)
  const y = scaleLinear([low, Math.max(high, low + 50)], [base, base - 40])
  const points = Array.from(profile.km, (at, i) => [x.value(at), y(nth(profile.eleM, i))] as [number, number])
  return (
    area(
      (p) => p[0],
      base,
      (p) => p[1],
    )(points) ?? ''
  )
})

const stops = computed(() =>
  (store.trip?.stops ?? []).map((stop) => ({
    ...stop,
    x: x.value(stop.roadKm),
    helps: isHelp(stop, catalogue.services),
    isShut: view.value?.shutStops.includes(stop.id) ?? false,
  })),
)
/** How broad a stop's mark may be, so that hundreds of them do not run into one bar. */
const broad = computed(() => Math.min(5, Math.max(1.5, width.value / Math.max(stops.value.length, 1) / 2)))
const labels = computed(() =>
  stripLabels(
    stops.value.map(({ id, name, x: at, helps, services }) => ({
      id,
      name,
      x: at,
      weight: (helps ? 100 : 0) + services.length,
    })),
    width.value,
  ),
)

const classes = computed(() =>
  Object.keys(view.value?.gaps ?? {}).map((id) => ({ id, name: classInWords(id, catalogue.families) })),
)
const gaps = computed(() => (selection.classId ? (view.value?.gaps[selection.classId] ?? []) : []))
const shownGap = computed(() => {
  if (selection.gap && gaps.value.some((gap) => gap.fromKm === defined(selection.gap).fromKm)) return selection.gap
  return gaps.value.reduce<(typeof gaps.value)[number] | undefined>((a, b) => (a && a.km >= b.km ? a : b), undefined)
})

const readout = computed(() => {
  const walk = view.value?.walkOut
  if (!walk) return ''
  const i = pointBefore(walk.km, selection.cursorKm)
  return `at ${km(selection.cursorKm)}: ${wayToHelpInWords(nth(walk.hours, i), nth(walk.waitH, i), walk.to[i])}`
})

const farthest = computed(() => {
  const worst = view.value?.worst
  if (!worst) return { text: '', x: undefined }
  const how = worst.waitH > 0 ? 'on foot and waiting' : 'on foot'
  const text = `farthest from help: ${hoursInWords(worst.worstH)} ${how} at ${km(worst.atKm)}`
  return { text, x: stripTitleX(text, x.value(worst.atKm), width.value) }
})

/** Whether what is written over the strip stands over its left half. */
const titleOnLeft = computed(() => {
  const at =
    selection.classId && shownGap.value
      ? (shownGap.value.fromKm + shownGap.value.toKm) / 2
      : (view.value?.worst.atKm ?? 0)
  return x.value(at) < width.value / 2
})

/** What is held: the cursor, or a stop, which a thumb that only trembles does not move. */
let held: { stop: string | undefined; fromX: number; moved: boolean } | undefined
const tremblePx = 5
function kmAt(event: PointerEvent): number {
  const left = defined(box.value).getBoundingClientRect().left
  return onRoad(x.value.invert(event.clientX - left))
}
function press(event: PointerEvent, stop?: { id: string; roadKm: number }) {
  const taken = props.editable ? stop : undefined
  held = { stop: taken?.id, fromX: event.clientX, moved: false }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  selection.cursorKm = stop?.roadKm ?? kmAt(event)
  const inside = gaps.value.find((gap) => gap.fromKm <= selection.cursorKm && selection.cursorKm < gap.toKm)
  if (inside && !taken) selection.gap = inside
  event.stopPropagation()
}
function drag(event: PointerEvent) {
  if (!held) return
  event.stopPropagation()
  held.moved ||= Math.abs(event.clientX - held.fromX) > tremblePx
  if (held.stop && !held.moved) return
  const at = kmAt(event)
  selection.cursorKm = at
  if (held.stop) emit('move', held.stop, Math.round(at * 10) / 10)
}
function release() {
  held = undefined
}

const steps: Record<string, number> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowUp: 1,
  PageDown: -10,
  PageUp: 10,
}
/** On a road of an afternoon a press moves by a tenth. */
const stepKm = computed(() => (lengthKm.value < 30 ? 0.1 : 1) * pressKm.value)
function stepOf(event: KeyboardEvent): number {
  return (steps[event.key] ?? 0) * (event.shiftKey ? 10 : 1) * stepKm.value
}
const toPress = (at: number) => Math.round(at / stepKm.value) * stepKm.value
const onRoad = (at: number) => Math.min(Math.max(at, 0), lengthKm.value)
function keyCursor(event: KeyboardEvent) {
  if (event.key === 'Home' || event.key === 'End') {
    event.preventDefault()
    selection.cursorKm = event.key === 'Home' ? 0 : lengthKm.value
    return
  }
  const step = stepOf(event)
  if (step === 0) return
  event.preventDefault()
  selection.cursorKm = onRoad(toPress(selection.cursorKm) + step)
}
function keyStop(event: KeyboardEvent, id: string, roadKm: number) {
  const step = stepOf(event)
  if (step === 0 || !props.editable) return
  event.preventDefault()
  event.stopPropagation()
  emit('move', id, onRoad(Math.round((roadKm + step) * 10) / 10))
}
</script>

<template>
  <section aria-label="The road" class="flex border-b border-line bg-paper print:block">
    <div class="flex w-44 shrink-0 flex-col gap-0.5 py-2 pl-4 pr-2 max-md:hidden print:w-auto">
      <p class="font-bold [font-stretch:108%]">The road</p>
      <p v-if="lengthKm" class="text-sm text-soft">
        <span class="figures">{{ km(lengthKm) }}</span><br />
        <template v-if="kit.analysis?.climbM != null"
          ><span class="figures">{{ climb(kit.analysis.climbM) }} up</span></template
        >
        <template v-else>climbs unknown</template>
      </p>
      <label v-if="view" class="on-screen mt-auto block text-xs text-soft">
        show
        <select
          class="field mt-0.5 min-h-7! truncate px-1! text-xs"
          :value="selection.classId"
          @change="selection.showClass(($event.target as HTMLSelectElement).value)"
        >
          <option value="">hours to help</option>
          <option v-for="option in classes" :key="option.id" :value="option.id">without {{ option.name }}</option>
        </select>
      </label>
    </div>
    <div ref="box" class="relative min-w-0 flex-1 pr-3 select-none print:h-auto!" :style="{ height: `${height}px` }">
      <p v-if="kit.analysis && !lengthKm" class="flex h-full items-center pl-4 text-soft md:pl-0">
        The road appears here once it is laid in stage 1, Road: from a GPX file, or written down.
      </p>
      <svg
        v-else-if="view && width > 40"
        :width="width"
        :height="height"
        :viewBox="`0 0 ${width} ${height}`"
        class="block touch-pan-y overflow-visible print:h-auto print:w-full"
        aria-hidden="false"
        role="group"
        aria-label="Hours to help along the road"
        @pointerdown="press($event)"
        @pointermove="drag"
        @pointerup="release"
        @pointercancel="release"
      >
        <rect width="100%" :height="height" fill="transparent" />
        <template v-for="(gap, i) in gaps" :key="gap.fromKm">
          <rect
            :x="x(gap.fromKm)"
            :width="Math.max(0, x(gap.toKm) - x(gap.fromKm))"
            :y="4"
            :height="base - 4"
            :class="gap.fromKm === shownGap?.fromKm ? 'fill-brass-wash' : i % 2 ? 'fill-well' : 'fill-transparent'"
          />
          <line :x1="x(gap.toKm)" :x2="x(gap.toKm)" :y1="4" :y2="base" class="stroke-line" stroke-dasharray="2 3" />
        </template>
        <path :d="hillPath" class="fill-sand" opacity="0.42" />
        <path :d="walkPath.fill" class="fill-petrol" opacity="0.14" />
        <path :d="walkPath.edge" class="fill-none stroke-petrol" stroke-width="1.6" />
        <path
          v-if="pathBefore"
          :d="pathBefore"
          class="fill-none stroke-brass"
          stroke-width="1.6"
          stroke-dasharray="5 4"
          role="img"
          aria-label="Hours to help as they are, without what is supposed"
        />
        <line :x1="x(0)" :x2="x(lengthKm)" :y1="base" :y2="base" class="stroke-ink" stroke-width="1.5" />

        <g v-if="selection.classId && shownGap && width > 560">
          <text
            :x="Math.min(Math.max(x((shownGap.fromKm + shownGap.toKm) / 2), 120), width - 120)"
            y="15"
            text-anchor="middle"
            class="fill-brass text-[12px] font-bold"
          >
            {{ km(shownGap.km) }} without {{ classInWords(selection.classId, catalogue.families) }}
          </text>
        </g>
        <g v-else-if="view.worst.worstH > 0 && farthest.x !== undefined">
          <line
            :x1="x(view.worst.atKm)"
            :x2="x(view.worst.atKm)"
            :y1="hours(view.worst.worstH)"
            :y2="base"
            class="stroke-lacking"
            stroke-width="1.4"
          />
          <circle :cx="x(view.worst.atKm)" :cy="hours(view.worst.worstH)" r="4" class="fill-lacking" />
          <text :x="farthest.x" y="15" class="fill-lacking text-[12px] font-bold">
            {{ farthest.text }}
          </text>
        </g>

        <SurfaceBand :x="x" :km-at="kmAt" :y="band" :editable="editable ?? false" />

        <g
          v-for="stop in stops"
          :key="stop.id"
          :class="editable ? 'cursor-ew-resize' : ''"
          :tabindex="editable ? 0 : undefined"
          :role="editable ? 'slider' : undefined"
          :aria-label="editable ? `Stop ${stop.name}` : undefined"
          :aria-valuemin="editable ? 0 : undefined"
          :aria-valuemax="editable ? Math.round(lengthKm) : undefined"
          :aria-valuenow="editable ? Math.round(stop.roadKm) : undefined"
          :aria-valuetext="editable ? km(stop.roadKm) : undefined"
          class="stop"
          @pointerdown="press($event, stop)"
          @pointermove="drag"
          @pointerup="release"
          @keydown="keyStop($event, stop.id, stop.roadKm)"
        >
          <title>{{ stop.name }}, {{ km(stop.roadKm) }}{{ stop.isShut ? ', shut when you come by' : '' }}</title>
          <rect :x="stop.x - 9" :y="base - 14" width="18" :height="band - base + 14" fill="transparent" />
          <rect
            :x="stop.x - (stop.helps ? broad : broad * 0.6) / 2"
            :y="base - (stop.helps ? 8 : 4)"
            :width="stop.helps ? broad : broad * 0.6"
            :height="stop.helps ? 16 : 8"
            :class="stop.isShut ? 'fill-paper stroke-ink' : stop.helps ? 'fill-ink' : 'fill-soft'"
            :rx="broad / 5"
          />
        </g>
        <text
          v-for="label in labels"
          :key="label.id"
          :x="label.x"
          :y="names + label.row * 14"
          :text-anchor="label.anchor"
          class="pointer-events-none fill-ink text-[11px]"
        >
          {{ label.text }}
        </text>

        <g
          role="slider"
          tabindex="0"
          aria-label="Place on the road"
          :aria-valuemin="0"
          :aria-valuemax="Math.round(lengthKm)"
          :aria-valuenow="Math.round(selection.cursorKm)"
          :aria-valuetext="readout"
          class="cursor-col-resize"
          @keydown="keyCursor"
        >
          <line
            :x1="x(selection.cursorKm)"
            :x2="x(selection.cursorKm)"
            :y1="20"
            :y2="base"
            class="stroke-ink"
            stroke-width="1"
            stroke-dasharray="3 2"
          />
          <path :d="`M${x(selection.cursorKm) - 5} 18h10l-5 7z`" class="fill-ink" />
        </g>
      </svg>
      <p
        v-if="view"
        class="pointer-events-none absolute top-1 max-w-[calc(100%-0.5rem)] truncate sm:max-w-[45%] bg-paper/80 px-1 text-xs text-soft"
        :class="titleOnLeft ? 'right-3' : 'left-1'"
        aria-hidden="true"
      >
        {{ readout }}
      </p>
    </div>
  </section>
</template>
