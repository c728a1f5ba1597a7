<script setup lang="ts">
import type { Stop } from '~~/core/supply'

/** All there is to say of one stop: its services, the night there, the way out, what can be borrowed. */
const props = defineProps<{ stop: Stop }>()
const store = useTripStore()
const { change } = useStopEdits()

const night = computed(() => store.trip!.ride.nights.find((other) => other.roadKm === props.stop.roadKm))
function sleepHere(event: Event) {
  const nights = Number((event.target as HTMLSelectElement).value)
  const { ride } = store.trip!
  const others = ride.nights.filter((other) => other.roadKm !== props.stop.roadKm)
  const here = { id: `night-${props.stop.id}`.slice(0, 60), roadKm: props.stop.roadKm, nights }
  store.edit(`nights at ${props.stop.name}`, { ride: { ...ride, nights: nights > 0 ? [...others, here] : others } })
}
</script>

<template>
  <div class="space-y-3 px-4 py-3">
    <p v-if="!stop.services.length" class="text-soft">Say first, with a click above, what {{ stop.name }} offers.</p>
    <ServiceSheet v-for="service in stop.services" :key="service.kind" :stop="stop" :service="service" />
    <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
      <label class="block text-sm text-soft"
        >nights here
        <select class="slot mt-1 block w-36! text-ink" :value="night?.nights ?? 0" @change="sleepHere">
          <option :value="0">as the day comes</option>
          <option v-for="count in 7" :key="count" :value="count">
            {{ count === 1 ? 'one' : `${count}, with rest` }}
          </option>
        </select>
      </label>
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
        <input
          class="slot mt-1 text-ink"
          :value="stop.note"
          maxlength="1000"
          @change="change(stop, { note: ($event.target as HTMLInputElement).value }, `note on ${stop.name}`)"
        />
      </label>
    </div>
  </div>
</template>
