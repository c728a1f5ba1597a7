<script setup lang="ts">
import type { Stop } from '#core/supply'
import { useStopEdits } from '../../composables/useStopEdits'
import { useKitStore } from '../../stores/kit'
import MeasureField from '../common/MeasureField.vue'

/** Where a stop lies: along the road, or off it. */
const props = defineProps<{ stop: Stop; which: 'along' | 'off' }>()
const kit = useKitStore()
const { change, move } = useStopEdits()

function put(km: number | null) {
  if (km === null) return
  if (props.which === 'along') move(props.stop, km)
  else change(props.stop, { offRoadM: km * 1000 }, `move ${props.stop.name}`)
}
</script>

<template>
  <MeasureField
    :label="which === 'along' ? `Place of ${stop.name}` : `Detour to ${stop.name}`"
    label-hidden
    :model-value="which === 'along' ? stop.roadKm : stop.offRoadM / 1000"
    :amount="which === 'along' ? 'road' : 'shortWay'"
    :most="which === 'along' ? kit.analysis?.lengthKm : 100"
    @update:model-value="put"
  />
</template>
