<script setup lang="ts">
import { BarElement, CategoryScale, Chart as ChartJs, LinearScale, Tooltip, type ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { Bar } from 'vue-chartjs'
import { useColours } from '../../composables/useColours'
import { upToH } from '../../workers/drawer'

/** How many of the drawn trips spent how long on foot. */
const props = defineProps<{ byWalkH: readonly number[] }>()
ChartJs.register(BarElement, CategoryScale, LinearScale, Tooltip)
ChartJs.defaults.font.family = "'Archivo Variable', system-ui, sans-serif"

const colours = useColours('line', 'soft', 'petrol')
const labels = [
  'under 1 min',
  ...upToH.slice(1).map((most, i) => (i === 0 ? `up to ${most} h` : `to ${most} h`)),
  `over ${upToH.at(-1)} h`,
]
const data = computed(() => ({
  labels,
  datasets: [
    {
      label: 'of 100 trips',
      data: props.byWalkH.map((share) => 100 * share),
      backgroundColor: colours.value.petrol,
      barPercentage: 0.9,
      categoryPercentage: 1,
    },
  ],
}))
const options = computed<ChartOptions<'bar'>>(() => ({
  animation: false,
  maintainAspectRatio: false,
  plugins: { legend: { display: false } },
  scales: {
    x: {
      grid: { display: false },
      ticks: { color: colours.value.soft },
      title: { display: true, text: 'on foot', color: colours.value.soft },
    },
    y: {
      beginAtZero: true,
      grid: { color: colours.value.line },
      ticks: { color: colours.value.soft },
      title: { display: true, text: 'of 100 trips', color: colours.value.soft },
    },
  },
}))
const inWords = computed(() => props.byWalkH.map((share, i) => `${labels[i]}: ${(100 * share).toFixed(1)}`).join(', '))
</script>

<template>
  <div class="h-56" role="img" :aria-label="`Of 100 trips by hours on foot: ${inWords}`">
    <Bar :data="data" :options="options" />
  </div>
</template>
