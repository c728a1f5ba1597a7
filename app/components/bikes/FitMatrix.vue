<script setup lang="ts">
import { nth } from '#core/validation'
import { coverageWords, fitReasonWords, headInWords } from '#wording'
import { useElementSize } from '@vueuse/core'
import { computed, shallowRef, useTemplateRef } from 'vue'
import { useFitMatrix } from '../../stores/fit-matrix'
import type { FitColumn } from '../../stores/fit-matrix'
import { useCoverage } from '../../stores/coverage'
import { useFitWords } from '../../composables/useFitWords'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import FitMark from './FitMark.vue'
import { cutToWidth } from '../../drawing/cut-to-width'
import CoverageMark from './CoverageMark.vue'

/** Tools down, fasteners across: one looks along a column for something that turns it. */
const selection = useSelection()
const store = useTripStore()
const { coverageOf } = useCoverage()
const { nameOf, words } = useFitWords()
const { columns, things, markOf } = useFitMatrix()

const box = useTemplateRef('box')
const { width: room } = useElementSize(box)
const names = 184
const top = 74
const rowHeight = 21
/** Many drives stand closer together. */
const betweenDrives = computed(() => (columns.value.length > 24 ? 3 : 6))
const drives = computed(() => new Set(columns.value.map(({ drive }) => drive)).size)
/** As wide as there is room for, and never too narrow to hit. */
const cell = computed(() =>
  Math.min(
    26,
    Math.max(14.5, (room.value - names - 38 - drives.value * betweenDrives.value) / Math.max(1, columns.value.length)),
  ),
)
/** The middle of each column; those of another drive stand apart. */
const middles = computed(() => {
  let x = names
  return columns.value.map(({ drive }, i) => {
    if (i > 0 && nth(columns.value, i - 1).drive !== drive) x += betweenDrives.value
    x += cell.value
    return x - cell.value / 2
  })
})
const firstOf = (i: number) => i === 0 || nth(columns.value, i - 1).drive !== nth(columns.value, i).drive
const bikes = computed(() => store.openTrip.bikes)
const bodyHeight = computed(() => things.value.length * rowHeight)
/** The names of the last drives lean out to the right. */
const width = computed(() => (middles.value.at(-1) ?? names) + cell.value / 2 + 34)
const height = computed(() => top + bodyHeight.value + 30 + bikes.value.length * 17 + 6)

const chosen = computed(() =>
  columns.value.findIndex(({ members }) =>
    members.some(({ bike, fastener }) => bike.id === selection.bikeId && fastener.id === selection.fastenerId),
  ),
)
function choose(i: number) {
  const first = columns.value[i]?.members[0]
  if (!first) return
  selection.bikeId = first.bike.id
  selection.fastenerId = first.fastener.id
}
const coverage = ({ members }: FitColumn) => coverageOf(nth(members, 0).fit)
const short = (name: string) => cutToWidth(name, 12.5, names - 14)
const countOf = ({ members }: FitColumn, bikeId: string) => members.filter(({ bike }) => bike.id === bikeId).length

/** A mark of the matrix that is pointed at, or walked to. */
const pointed = shallowRef<{ column: FitColumn; thing: string }>()
const within = (place: number, length: number) => Math.min(length - 1, Math.max(0, place))
function walk(along: number, down: number) {
  const to = within(chosen.value + along, columns.value.length)
  const row = things.value.findIndex(({ id }) => id === pointed.value?.thing)
  choose(to)
  const column = columns.value[to]
  const thing = things.value[within(row + down, things.value.length)]
  // Walking along the fasteners tells of each; walking down from one tells of each tool on it.
  if (column && thing && (row >= 0 || down > 0)) pointed.value = { column, thing: thing.id }
}
const isPointedAt = (column: FitColumn, thing: string) =>
  pointed.value?.column.key === column.key && pointed.value.thing === thing
const told = computed(() => {
  if (!pointed.value) return ''
  const { column, thing } = pointed.value
  const way = nth(column.members, 0).fit.ways[thing]
  const what =
    column.members.length > 1
      ? `${column.members.length} fasteners of ${column.drive}`
      : nth(column.members, 0).fastener.name
  return `${what}: ${nameOf(thing)}, ${way ? `${headInWords(way.head)}, ${fitReasonWords[way.reason]}` : 'no head'}`
})
</script>

<template>
  <div>
    <div ref="box" class="window overflow-x-auto" tabindex="0" role="region" aria-label="Matrix of tools and fasteners">
      <svg
        :width="width"
        :height="height"
        :viewBox="`0 0 ${width} ${height}`"
        role="application"
        tabindex="0"
        aria-label="Tools down, fasteners across; the arrows walk along the fasteners and down the tools"
        class="block outline-offset-[-2px] print:h-auto print:w-full"
        @keydown.right.prevent="walk(1, 0)"
        @keydown.left.prevent="walk(-1, 0)"
        @keydown.down.prevent="walk(0, 1)"
        @keydown.up.prevent="walk(0, -1)"
        @keydown.esc="pointed = undefined"
        @pointerleave="pointed = undefined"
      >
        <g v-for="(column, i) in columns" :key="`ground ${column.key}`">
          <rect
            :x="nth(middles, i) - cell / 2"
            :y="top - 4"
            :width="cell"
            :height="bodyHeight + 30"
            :class="chosen === i ? 'fill-petrol-wash' : 'fill-well'"
            :opacity="chosen === i ? 1 : 0.55"
          />
          <text
            v-if="firstOf(i)"
            :transform="`translate(${nth(middles, i) + 4} ${top - 9}) rotate(-55)`"
            class="fill-ink text-[12px] font-semibold"
          >
            {{ column.drive }}
          </text>
        </g>
        <g v-for="({ id, turned }, row) in things" :key="id">
          <text
            :x="names - 8"
            :y="top + row * rowHeight + 15"
            text-anchor="end"
            class="text-[12.5px]"
            :class="turned ? 'fill-ink' : 'fill-brass'"
          >
            {{ short(nameOf(id)) }}
            <title>{{ nameOf(id) }}</title>
          </text>
          <line
            :x1="names - 4"
            :x2="width - 34"
            :y1="top + (row + 1) * rowHeight"
            :y2="top + (row + 1) * rowHeight"
            class="stroke-line"
            stroke-width="0.5"
          />
        </g>
        <g v-for="(column, i) in columns" :key="column.key" class="cursor-pointer" @click="choose(i)">
          <g
            v-for="({ id }, row) in things"
            :key="id"
            :transform="`translate(${middles[i]} ${top + row * rowHeight + rowHeight / 2})`"
            @pointerenter="pointed = { column, thing: id }"
          >
            <rect
              :x="-cell / 2 + 0.75"
              :y="-rowHeight / 2 + 0.75"
              :width="cell - 1.5"
              :height="rowHeight - 1.5"
              fill="transparent"
              :class="isPointedAt(column, id) ? 'stroke-brass' : ''"
              stroke-width="1.5"
            />
            <FitMark :mark="markOf(nth(column.members, 0).fit.ways[id])" />
          </g>
          <g :transform="`translate(${nth(middles, i) - 6} ${top + bodyHeight + 8})`">
            <title>{{ coverageWords[coverage(column)] }}</title>
            <CoverageMark :coverage="coverage(column)" />
          </g>
          <text
            v-for="(bike, b) in bikes"
            :key="bike.id"
            :x="middles[i]"
            :y="top + bodyHeight + 40 + b * 17"
            text-anchor="middle"
            class="figures fill-soft text-[11.5px]"
          >
            {{ countOf(column, bike.id) || '·' }}
          </text>
        </g>
        <text :x="names - 8" :y="top + bodyHeight + 19" text-anchor="end" class="fill-ink text-[12.5px] font-semibold">
          all together
        </text>
        <text
          v-for="(bike, b) in bikes"
          :key="bike.id"
          :x="names - 8"
          :y="top + bodyHeight + 40 + b * 17"
          text-anchor="end"
          class="fill-soft text-[12px]"
        >
          {{ short(bike.name) }}
        </text>
      </svg>
    </div>
    <ul class="flex flex-wrap gap-x-4 gap-y-1 px-4 pt-1 text-xs text-soft" aria-label="What the marks mean">
      <li class="flex items-center gap-1.5"><CoverageMark coverage="turned" />turns</li>
      <li class="flex items-center gap-1.5"><CoverageMark coverage="awkward" />awkward</li>
      <li class="flex items-center gap-1.5"><CoverageMark coverage="uncovered" />harms it, or nothing turns it</li>
      <li class="flex items-center gap-1.5">
        <svg width="12" height="12" viewBox="-6 -6 12 12" aria-hidden="true"><FitMark mark="near" /></svg>gets hold, and
        cannot turn it
      </li>
      <li class="flex items-center gap-1.5"><CoverageMark coverage="borrowed" />with a borrowed wrench</li>
      <li class="flex items-center gap-1.5"><CoverageMark coverage="waits" />can wait</li>
    </ul>
    <div class="min-h-16 px-4 pt-2 text-sm" role="status">
      <p v-if="told">{{ told }}</p>
      <ul v-else-if="columns[chosen]">
        <li v-for="{ bike, fastener, fit } in nth(columns, chosen).members" :key="`${bike.id}/${fastener.id}`">
          {{ bike.name }}, <strong>{{ fastener.name }}</strong>: {{ coverageWords[coverageOf(fit)] }};
          <span class="text-soft">{{ words(fit, fastener) }}</span>
        </li>
      </ul>
      <p v-else class="text-soft">
        Point at a mark, or walk along with the arrows. What takes the same drive and fares alike is one column; the
        figures say how many fasteners of each bike are in it.
      </p>
    </div>
  </div>
</template>
