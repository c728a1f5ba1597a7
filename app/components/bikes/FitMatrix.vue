<script setup lang="ts">
import { driveInWords, type Bike, type Fastener } from '~~/core/bike'
import { fitReasons, type FastenerView, type WayView } from '~~/core/fit'
import { coverageWords } from '~/composables/useFits'

/** Tools down, fasteners across, put together by what they take: one looks along a column for something that turns it. */
const selection = useSelection()
const kit = useKitStore()
const store = useTripStore()
const { fitOf, standingOf } = useFits()
const { nameOf, words } = useFitWords()

interface Column {
  readonly key: string
  readonly bike: Bike
  readonly fastener: Fastener
  readonly fit: FastenerView
}
interface Cluster {
  readonly drive: string
  readonly columns: Column[]
}

const order = [
  'hex',
  'hexalobular',
  'phillips',
  'pozidriv',
  'slot',
  'flats',
  'nipple',
  'spline',
  'valve-core',
  'chain-pin',
  'quick-link',
  'by-hand',
]
const sizeOf = ({ drive }: Fastener) => ('size' in drive && typeof drive.size === 'number' ? drive.size : 0)
const columns = computed<Column[]>(() =>
  store
    .trip!.bikes.flatMap((bike) =>
      bike.fasteners.flatMap((fastener) => {
        const fit = fitOf(bike, fastener)
        return fit && fastener.drive.profile !== 'by-hand'
          ? [{ key: `${bike.id}/${fastener.id}`, bike, fastener, fit }]
          : []
      }),
    )
    .sort(
      (a, b) =>
        order.indexOf(a.fastener.drive.profile) - order.indexOf(b.fastener.drive.profile) ||
        sizeOf(a.fastener) - sizeOf(b.fastener) ||
        driveInWords(a.fastener.drive).localeCompare(driveInWords(b.fastener.drive)),
    ),
)
const clusters = computed(() => {
  const found: Cluster[] = []
  for (const column of columns.value) {
    const drive = driveInWords(column.fastener.drive)
    const last = found.at(-1)
    if (last?.drive === drive) last.columns.push(column)
    else found.push({ drive, columns: [column] })
  }
  return found
})
/** Tools that turn most come first. */
const things = computed(() => {
  const turned = (thing: string) =>
    columns.value.filter(({ fit }) => ['turns', 'awkward'].includes(fit.ways[thing]?.verdict ?? '')).length
  return [...(kit.reckoning?.fit.things ?? [])]
    .map((id) => ({ id, turned: turned(id) }))
    .sort((a, b) => b.turned - a.turned)
})
const bikeNumber = (bike: Bike) => store.trip!.bikes.indexOf(bike) + 1

const cell = 13
const gap = 7
const left = 158
const top = 64
const rowHeight = 20
/** Where each column stands: clusters keep a little apart. */
const xOf = computed(() => {
  const places = new Map<string, number>()
  let x = left
  for (const cluster of clusters.value) {
    for (const column of cluster.columns) {
      places.set(column.key, x)
      x += cell
    }
    x += gap
  }
  return places
})
const width = computed(() => left + columns.value.length * cell + clusters.value.length * gap)
const height = computed(() => top + things.value.length * rowHeight + 74)
const chosen = computed(() => columns.value.find(({ key }) => key === `${selection.bikeId}/${selection.fastenerId}`))
const pointed = shallowRef<{ column: Column; thing: string }>()

function choose(column: Column) {
  selection.bikeId = column.bike.id
  selection.fastenerId = column.fastener.id
}
function step(by: number) {
  const now = columns.value.findIndex(({ key }) => key === chosen.value?.key)
  const next = columns.value[Math.min(columns.value.length - 1, Math.max(0, now + by))]
  if (next) choose(next)
}
const near = (way: WayView | undefined) =>
  way !== undefined && way.reason !== 'wrong-profile' && way.reason !== 'wrong-size'
const told = computed(() => {
  const of = pointed.value
  if (!of) return ''
  const way = of.column.fit.ways[of.thing]
  return `${of.column.bike.name}, ${of.column.fastener.name}: ${nameOf(of.thing)}, ${way ? `${way.head}, ${fitReasons[way.reason]}` : 'no head'}`
})
</script>

<template>
  <div>
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Matrix of tools and fasteners">
      <svg
        :width="width"
        :height="height"
        role="grid"
        tabindex="0"
        aria-label="Tools down, fasteners across; arrows walk along the fasteners"
        class="block"
        @keydown.right.prevent="step(1)"
        @keydown.left.prevent="step(-1)"
        @pointerleave="pointed = undefined"
      >
        <g v-for="cluster in clusters" :key="cluster.drive">
          <rect
            :x="xOf.get(cluster.columns[0]!.key)! - 2"
            :y="top - 4"
            :width="cluster.columns.length * cell + 3"
            :height="things.length * rowHeight + 74"
            class="fill-well"
            opacity="0.55"
          />
          <text
            :transform="`translate(${xOf.get(cluster.columns[0]!.key)! + (cluster.columns.length * cell) / 2 + 3} ${top - 9}) rotate(-58)`"
            class="fill-ink text-[11px] font-semibold"
          >
            {{ cluster.drive }}
          </text>
        </g>
        <g v-for="({ id, turned }, row) in things" :key="id" role="row">
          <text
            :x="left - 10"
            :y="top + row * rowHeight + 14"
            text-anchor="end"
            class="text-[12px]"
            :class="turned ? 'fill-ink' : 'fill-brass'"
          >
            {{ nameOf(id).length > 24 ? `${nameOf(id).slice(0, 23)}…` : nameOf(id) }}
            <title>
              {{ nameOf(id) }}{{ turned ? `: turns ${turned} of ${columns.length}` : ': turns nothing here' }}
            </title>
          </text>
          <line
            :x1="left - 4"
            :x2="width"
            :y1="top + (row + 1) * rowHeight"
            :y2="top + (row + 1) * rowHeight"
            class="stroke-line"
            stroke-width="0.5"
          />
        </g>
        <g
          v-for="column in columns"
          :key="column.key"
          class="cursor-pointer"
          :transform="`translate(${xOf.get(column.key)} ${top})`"
          @click="choose(column)"
        >
          <rect
            v-if="chosen?.key === column.key"
            x="-1"
            y="-3"
            :width="cell + 1"
            :height="things.length * rowHeight + 44"
            class="fill-petrol-wash stroke-petrol"
          />
          <g
            v-for="({ id }, row) in things"
            :key="id"
            :transform="`translate(0 ${row * rowHeight})`"
            @pointerenter="pointed = { column, thing: id }"
          >
            <rect :width="cell" :height="rowHeight" fill="transparent" />
            <rect
              v-if="column.fit.ways[id]?.verdict === 'turns'"
              x="1.5"
              y="5"
              width="10"
              height="10"
              rx="1"
              class="fill-petrol"
            />
            <g v-else-if="column.fit.ways[id]?.verdict === 'awkward'">
              <rect x="2" y="5.5" width="9" height="9" rx="1" fill="none" class="stroke-brass" stroke-width="1.4" />
              <path d="M2 5.5v9h9z" class="fill-brass" />
            </g>
            <path
              v-else-if="column.fit.ways[id]?.verdict === 'damages'"
              d="M2.5 6l8 8M10.5 6l-8 8"
              class="stroke-madder"
              stroke-width="1.8"
            />
            <circle
              v-else-if="near(column.fit.ways[id])"
              cx="6.5"
              cy="10"
              r="2.6"
              fill="none"
              class="stroke-soft"
              stroke-width="1.2"
            />
          </g>
          <g :transform="`translate(0.5 ${things.length * rowHeight + 8})`">
            <title>
              {{ column.bike.name }}, {{ column.fastener.name }}: {{ coverageWords[standingOf(column.fit)] }}
            </title>
            <StandingMark :standing="standingOf(column.fit)" />
          </g>
          <text x="6.5" :y="things.length * rowHeight + 36" text-anchor="middle" class="figures fill-soft text-[10px]">
            {{ bikeNumber(column.bike) }}
          </text>
        </g>
        <text
          :x="left - 10"
          :y="top + things.length * rowHeight + 18"
          text-anchor="end"
          class="fill-ink text-[12px] font-semibold"
        >
          all together
        </text>
        <text :x="left - 10" :y="top + things.length * rowHeight + 36" text-anchor="end" class="fill-soft text-[12px]">
          bike
        </text>
      </svg>
    </div>
    <p class="min-h-6 px-4 text-sm" role="status">
      <template v-if="told">{{ told }}</template>
      <template v-else-if="chosen"
        >{{ chosen.bike.name }}, <strong>{{ chosen.fastener.name }}</strong>:
        {{ coverageWords[standingOf(chosen.fit)] }}; {{ words(chosen.fit, chosen.fastener) }}</template
      >
      <span v-else class="text-soft">Point at a mark, or walk along with the arrows.</span>
    </p>
    <ul class="flex flex-wrap gap-x-5 gap-y-1 px-4 pt-1 text-xs text-soft" aria-label="What the marks mean">
      <li class="flex items-center gap-1.5"><StandingMark standing="turned" />turns</li>
      <li class="flex items-center gap-1.5"><StandingMark standing="awkward" />awkward</li>
      <li class="flex items-center gap-1.5"><StandingMark standing="uncovered" />harms it, or nothing turns it</li>
      <li class="flex items-center gap-1.5">
        <svg width="12" height="12" aria-hidden="true">
          <circle cx="6" cy="6" r="2.6" fill="none" class="stroke-soft" stroke-width="1.2" /></svg
        >fits, and cannot be turned
      </li>
      <li class="flex items-center gap-1.5"><StandingMark standing="borrowed" />with a borrowed wrench</li>
      <li class="flex items-center gap-1.5"><StandingMark standing="waits" />can wait</li>
      <li v-for="(one, i) in store.trip!.bikes" :key="one.id">
        <span class="figures">{{ i + 1 }}</span> {{ one.name }}
      </li>
    </ul>
  </div>
</template>
