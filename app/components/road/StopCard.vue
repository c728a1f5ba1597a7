<script setup lang="ts">
import type { Stop } from '#core/supply'
import { useStopEdits } from '../../composables/useStopEdits'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'
import NightSelect from './NightSelect.vue'
import ServiceCard from './ServiceCard.vue'
import ShutChoices from './ShutChoices.vue'

/** All there is to say of one stop: its services, the night there, the way out, what can be borrowed. */
defineProps<{ stop: Stop }>()
const { change } = useStopEdits()
</script>

<template>
  <div :id="`hours-${stop.id}`" class="space-y-3 px-4 py-3">
    <p v-if="!stop.services.length" class="text-soft">Say first, with a click above, what {{ stop.name }} offers.</p>
    <ServiceCard v-for="service in stop.services" :key="service.kind" :stop="stop" :service="service" />
    <ShutChoices :stop="stop" />
    <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
      <NightSelect :road-km="stop.roadKm" :stop="stop.id" :place="stop.name" />
      <MeasureField
        v-if="stop.exit"
        class="w-32"
        :label="`wait for the ${stop.exit}`"
        amount="time"
        :most="168"
        :model-value="stop.exitWaitH"
        @update:model-value="$event !== null && change(stop, { exitWaitH: $event }, `wait at ${stop.name}`)"
      />
      <label class="flex min-h-9 items-center gap-2 text-sm"
        ><input
          type="checkbox"
          class="size-4 accent-petrol"
          :checked="stop.bigWrench"
          @change="change(stop, { bigWrench: !stop.bigWrench }, `a big wrench at ${stop.name}`)"
        />a big wrench can be borrowed</label
      >
      <label class="block min-w-48 flex-1 text-sm text-soft"
        >note
        <TypedField
          class="field mt-1 text-ink"
          :model-value="stop.note"
          maxlength="1000"
          @update:model-value="change(stop, { note: $event }, `note on ${stop.name}`)"
        />
      </label>
    </div>
  </div>
</template>
