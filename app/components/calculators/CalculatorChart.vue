<script setup lang="ts">
import { nth } from '#core/validation'
import type { Chart } from '#core/calculators'
import { customary, inUnit, type Amount } from '#core/units'
import { amountInWords, grouped } from '#wording'
import {
  CategoryScale,
  Chart as ChartJs,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js'
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { useColours } from '../../composables/useColours'
import { useView } from '../../stores/view'

/** A curve, with the levels that matter beside it. */
const props = defineProps<{ chart: Chart; label: string }>()
ChartJs.register(CategoryScale, Filler, LinearScale, LineElement, PointElement, Tooltip)

ChartJs.defaults.font.family = "'Archivo Variable', system-ui, sans-serif"

const { system } = useView()
const unitOf = (amount: Amount) => customary[amount][system.value]
const shown = (value: number, amount: Amount) => inUnit(value, { ...unitOf(amount), decimals: 4 })
const axisName = ({ label, amount }: Chart['x']) => [label, unitOf(amount).unit].filter(Boolean).join(', ')

const colours = useColours('line', 'soft', 'petrol', 'brass', 'ink', 'madder')
const curveColour = (i: number) => colours.value[nth(['petrol', 'brass', 'ink'] as const, i % 3)]
const ends = computed(() => {
  const xs = props.chart.curves.flatMap(({ points }) => points.map(([x]) => x))
  return [Math.min(...xs), Math.max(...xs)] as const
})
const dashes = [[], [7, 3], [2, 3]]

const data = computed(() => {
  const { x, y, curves, levels } = props.chart
  const at = ([px, py]: readonly [number, number]) => ({ x: shown(px, x.amount), y: shown(py, y.amount) })
  const few = (points: number) => (points < 8 ? 3.5 : 0)
  return {
    datasets: [
      ...curves.map(({ label, points, faint }, i) => ({
        label,
        data: points.map(at),
        borderColor: faint ? colours.value.soft : curveColour(i),
        borderWidth: faint ? 1 : 2,
        borderDash: faint ? [2, 3] : dashes[i % 3],
        pointRadius: faint ? 0 : few(points.length),
        pointStyle: (['rect', 'circle', 'triangle'] as const)[i % 3],
        pointBackgroundColor: curveColour(i),
        fill: false,
      })),
      ...levels.map(({ label, at: level }) => ({
        label,
        data: ends.value.map((end) => at([end, level])),
        borderColor: colours.value.madder,
        borderWidth: 1,
        borderDash: [6, 4],
        pointRadius: 0,
        pointStyle: 'line' as const,
        fill: false,
      })),
    ],
  }
})
const options = computed<ChartOptions<'line'>>(() => {
  const axis = ({ amount, ...range }: Chart['x']) => ({
    type: 'linear' as const,
    title: { display: true, text: axisName({ amount, ...range }), color: colours.value.soft },
    grid: { color: colours.value.line },
    // What is counted comes in whole ones.
    ticks: {
      color: colours.value.soft,
      callback: (value: string | number) => (Number.isInteger(value) ? grouped(Number(value)) : value),
      ...(amount === 'number' && { precision: 0 }),
    },
  })
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    scales: { x: axis(props.chart.x), y: { ...axis(props.chart.y), beginAtZero: true } },
    plugins: { tooltip: { intersect: false, mode: 'nearest' } },
  }
})
/** The same in words, for those who do not see it, and as a key to its lines. */
const key = computed(() => [
  ...props.chart.curves.map(({ label }, i) => ({ label, i })).filter((_, i) => !nth(props.chart.curves, i).faint),
  ...props.chart.levels.map(({ label, at }) => ({
    label: `${label}, ${amountInWords(at, props.chart.y.amount, system.value)}`,
    i: -1,
  })),
])
</script>

<template>
  <figure>
    <div class="h-56">
      <Line :data="data" :options="options" role="img" :aria-label="label" />
    </div>
    <figcaption v-if="key.length > 1" class="mt-1 flex flex-wrap gap-x-4 text-xs text-soft">
      <span v-for="({ label: word, i }, n) in key" :key="n" class="flex items-center gap-1.5">
        <svg width="22" height="8" aria-hidden="true">
          <line
            x1="0"
            x2="22"
            y1="4"
            y2="4"
            :stroke="i < 0 ? colours.madder : curveColour(i)"
            :stroke-width="i < 0 ? 1 : 2"
            :stroke-dasharray="i < 0 ? '6 4' : nth(dashes, i % 3).join(' ')"
          />
        </svg>
        {{ word }}
      </span>
    </figcaption>
  </figure>
</template>
