<script setup lang="ts">
import { area, curveLinear } from 'd3-shape'
import { scaleLinear } from 'd3-scale'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useView } from '../../stores/view'
import type { Here } from '../../workers/trail-guide'

/** The rest of the road from where one is, at the foot, upwards: the wider, the farther from help. */
const props = defineProps<{ here: Here }>()
const { km } = useView()

const box = useTemplateRef<HTMLElement>('box')
const { height } = useElementSize(box)
/** So much of the road is drawn, km: a day or two. */
const mostKm = 120
const width = 60
const spine = 34

const toKm = computed(() => Math.min(props.here.lengthKm, props.here.roadKm + mostKm))
const y = computed(() => scaleLinear([props.here.roadKm, toKm.value], [height.value - 22, 14]))
const drawn = computed(() => props.here.ahead.toHelp.filter((point) => point.km <= toKm.value))
const x = computed(() => {
  const worst = Math.max(0.5, ...drawn.value.map(({ hours }) => hours))
  return scaleLinear([0, worst], [0, width - spine - 4])
})
const shape = computed(
  () =>
    area<{ km: number; hours: number }>()
      .curve(curveLinear)
      .y((point) => y.value(point.km))
      .x0(spine)
      .x1((point) => spine + x.value(point.hours))(drawn.value) ?? '',
)
/** Stops whose figures have room beside one another. */
const stops = computed(() => {
  let last = Infinity
  return props.here.ahead.stops.flatMap((stop) => {
    if (stop.roadKm > toKm.value) return []
    const at = y.value(stop.roadKm)
    const isNamed = last - at >= 14
    if (isNamed) last = at
    return [{ ...stop, at, isNamed }]
  })
})
</script>

<template>
  <div ref="box" class="relative w-15 shrink-0 bg-tin text-tin-ink" aria-hidden="true">
    <svg v-if="height > 60" :width="width" :height="height" class="absolute inset-0">
      <path :d="shape" fill="#5f9d93" fill-opacity="0.55" />
      <line :x1="spine" :x2="spine" :y1="8" :y2="height - 22" stroke="currentColor" stroke-width="1.5" />
      <g v-for="stop in stops" :key="stop.stop">
        <rect :x="spine - 8" :y="stop.at - 2" width="16" height="4" fill="currentColor" />
        <text
          v-if="stop.isNamed"
          :x="spine - 11"
          :y="stop.at + 4"
          text-anchor="end"
          class="figures fill-current text-[11px]"
        >
          {{
            km(stop.roadKm - here.roadKm)
              .replace(/[^\d.]/g, '')
              .replace(/\.\d+$/, '')
          }}
        </text>
      </g>
      <path :d="`M${spine - 9} ${height - 8} l9 -14 l9 14 z`" fill="#f3e1b4" />
    </svg>
  </div>
</template>
