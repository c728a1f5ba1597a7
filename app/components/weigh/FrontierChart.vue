<script setup lang="ts">
import { leastLostH, type BoundLine } from '#core/bound'
import type { KitChoice } from '#core/search'
import { customary, inUnit } from '#core/units'
import { grouped, hoursInWords, massWord } from '#wording'
import { Chart as ChartJs, Filler, LinearScale, LineElement, PointElement, Tooltip, type ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { useColours } from '../../composables/useColours'
import { useView } from '../../stores/view'

/** Hours lost and the chance of being stranded against what is carried; the kit of the trip and one that is looked at. */
const props = defineProps<{
  kits: readonly KitChoice[]
  now?: { readonly massG: number; readonly promiseH: number }
  picked: number
  /** What no kit beats. */
  lines: readonly BoundLine[]
}>()
const emit = defineEmits<{ pick: [index: number] }>()
ChartJs.register(Filler, LinearScale, LineElement, PointElement, Tooltip)
ChartJs.defaults.font.family = "'Archivo Variable', system-ui, sans-serif"

const { system, grams } = useView()
const mass = (massG: number) => inUnit(massG, { ...customary.mass[system.value], decimals: 2 })
const colours = useColours('line', 'well', 'soft', 'petrol', 'ink')
/** So many places of the bound are drawn. */
const boundPlaces = 120
const bound = computed(() => {
  const mostG = Math.max(0, ...props.kits.map(({ massG }) => massG))
  return Array.from({ length: boundPlaces + 1 }, (_, i) => {
    const massG = (mostG * i) / boundPlaces
    return { x: mass(massG), y: leastLostH(props.lines, massG) }
  })
})
const data = computed(() => ({
  datasets: [
    {
      label: 'hours lost',
      data: props.kits.map(({ massG, promiseH }) => ({ x: mass(massG), y: promiseH })),
      yAxisID: 'hours',
      borderColor: colours.value.petrol,
      backgroundColor: props.kits.map((_, i) => (i === props.picked ? colours.value.ink : colours.value.petrol)),
      pointRadius: props.kits.map((_, i) => (i === props.picked ? 6 : 3)),
      pointStyle: 'rect' as const,
      borderWidth: 2,
    },
    {
      label: 'stranded, of 100 trips',
      data: props.kits.map(({ massG, stranded }) => ({ x: mass(massG), y: 100 * stranded })),
      yAxisID: 'stranded',
      borderColor: colours.value.soft,
      backgroundColor: colours.value.soft,
      borderDash: [5, 4],
      pointRadius: 0,
      borderWidth: 1.5,
    },
    ...(props.lines.length > 0
      ? [
          {
            label: 'no kit loses less',
            data: bound.value,
            yAxisID: 'hours',
            borderWidth: 0,
            backgroundColor: colours.value.well,
            fill: 'origin' as const,
            pointRadius: 0,
          },
        ]
      : []),
    ...(props.now
      ? [
          {
            label: 'the kit of this trip',
            data: [{ x: mass(props.now.massG), y: props.now.promiseH }],
            yAxisID: 'hours',
            showLine: false,
            borderColor: colours.value.ink,
            backgroundColor: 'transparent',
            pointStyle: 'rectRot' as const,
            pointRadius: 9,
            pointBorderWidth: 2,
          },
        ]
      : []),
  ],
}))
const options = computed<ChartOptions<'line'>>(() => {
  const axis = (text: string, position: 'left' | 'right', hasGrid: boolean) => ({
    type: 'linear' as const,
    position,
    beginAtZero: true,
    grid: hasGrid ? { color: colours.value.line } : { display: false },
    ticks: { color: colours.value.soft },
    title: { display: true, text, color: colours.value.soft },
  })
  return {
    animation: false,
    maintainAspectRatio: false,
    onClick: (_event, elements) => {
      const hit = elements.find(({ datasetIndex }) => datasetIndex === 0)
      if (hit) emit('pick', hit.index)
    },
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    plugins: { tooltip: { enabled: false }, legend: { display: false } },
    scales: {
      x: {
        type: 'linear',
        beginAtZero: true,
        grid: { display: false },
        ticks: { color: colours.value.soft, callback: (value) => grouped(Number(value)) },
        title: { display: true, text: `${massWord(system.value)} carried`, color: colours.value.soft },
      },
      hours: axis('hours lost', 'left', true),
      stranded: axis('stranded, of 100 trips', 'right', false),
    },
  }
})
const inWords = computed(() =>
  props.kits.map(({ massG, promiseH }) => `${grams(massG)}: ${hoursInWords(promiseH)}`).join('; '),
)
</script>

<template>
  <figure>
    <div class="h-64">
      <Line :data="data" :options="options" role="img" :aria-label="`Hours lost by what is carried. ${inWords}`" />
    </div>
    <figcaption class="mt-1 flex flex-wrap gap-x-5 text-xs text-soft">
      <span class="flex items-center gap-1.5"
        ><svg width="22" height="8" aria-hidden="true">
          <line x1="0" x2="22" y1="4" y2="4" :stroke="colours.petrol" stroke-width="2" />
          <rect x="8" y="1" width="6" height="6" :fill="colours.petrol" /></svg
        >hours lost</span
      >
      <span class="flex items-center gap-1.5"
        ><svg width="22" height="8" aria-hidden="true">
          <line x1="0" x2="22" y1="4" y2="4" :stroke="colours.soft" stroke-width="1.5" stroke-dasharray="5 4" /></svg
        >stranded, of 100 trips</span
      >
      <span v-if="lines.length" class="flex items-center gap-1.5"
        ><svg width="22" height="10" aria-hidden="true"><rect width="22" height="10" :fill="colours.well" /></svg>no kit
        loses so little, as far as it is proved</span
      >
      <span v-if="now" class="flex items-center gap-1.5"
        ><svg width="14" height="14" aria-hidden="true">
          <path d="M7 1 13 7 7 13 1 7Z" fill="none" :stroke="colours.ink" stroke-width="1.5" /></svg
        >the kit of this trip</span
      >
    </figcaption>
  </figure>
</template>
