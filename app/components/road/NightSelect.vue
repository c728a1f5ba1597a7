<script setup lang="ts">
import { nightAt, setNights } from '#core/ride'
import { computed } from 'vue'
import { useTripStore } from '../../stores/trip'

/** How many nights are spent at a place of the road; settled, the days are planned round them. */
const props = defineProps<{ roadKm: number; place: string; stop: string | null }>()
const store = useTripStore()

const bed = computed(() => ({ roadKm: props.roadKm, stop: props.stop }))
const nights = computed(() => nightAt(store.openTrip.ride.nights, bed.value)?.nights ?? 0)
function settle(event: Event) {
  const count = Number((event.target as HTMLSelectElement).value)
  const { ride } = store.openTrip
  const id = `night-${crypto.randomUUID().slice(0, 8)}`
  store.edit(`nights at ${props.place}`, {
    ride: { ...ride, nights: setNights(ride.nights, bed.value, count, id) },
  })
}
</script>

<template>
  <label class="block text-sm text-soft"
    >nights at {{ place }}
    <select class="field mt-1 block w-36! text-ink" :value="nights" @change="settle">
      <option :value="0">as the day comes</option>
      <option v-for="count in 7" :key="count" :value="count">
        {{ count === 1 ? 'one' : `${count}, with rest` }}
      </option>
      <option v-if="nights > 7" :value="nights">{{ nights }}, with rest</option>
    </select>
  </label>
</template>
