<script setup lang="ts">
import { nightPlaceAt, dateOf, type DaylitDay } from '#core/ride'
import type { Amount } from '#core/units'
import { clearWeather, setWeather, type WeatherDay } from '#core/weather'
import { dayInWords } from '#wording'
import { computed } from 'vue'
import { useTripStore } from '../../stores/trip'
import MeasureField from '../common/MeasureField.vue'
import NightSelect from './NightSelect.vue'

/** One day of the ride, for what a rider knows better: where it ends, and its weather. */
const props = defineProps<{ day: DaylitDay; place: string; last: boolean }>()
const store = useTripStore()

const bed = computed(() => nightPlaceAt(store.openTrip.stops, props.day.toKm))
const date = computed(() => dateOf(props.day.startsAt))
const weather = computed(() => store.openTrip.forecast.days.find((day) => day.date === date.value))

type Said = keyof Omit<WeatherDay, 'date'>
const fields: { key: Said; label: string; amount: Amount; least: number; most: number }[] = [
  { key: 'lowC', label: 'coldest', amount: 'warmth', least: -60, most: 50 },
  { key: 'highC', label: 'warmest', amount: 'warmth', least: -60, most: 60 },
  { key: 'rainMm', label: 'rain', amount: 'rain', least: 0, most: 500 },
  { key: 'windKmH', label: 'wind', amount: 'speed', least: 0, most: 300 },
]
function say(key: Said, value: number | null) {
  if (value === null) return
  const forecast = setWeather(store.openTrip.forecast, date.value, { [key]: value })
  store.edit(`the weather of ${dayInWords(props.day.startsAt)}`, { forecast })
}
function forget() {
  const forecast = clearWeather(store.openTrip.forecast, date.value)
  store.edit(`forget the weather of ${dayInWords(props.day.startsAt)}`, { forecast })
}
</script>

<template>
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2 px-4 py-3">
    <NightSelect v-if="!last" :road-km="bed.roadKm" :stop="bed.stop" :place="place" />
    <MeasureField
      v-for="field in fields"
      :key="field.key"
      class="w-24"
      :label="field.label"
      :amount="field.amount"
      :least="field.least"
      :most="field.most"
      :model-value="weather?.[field.key] ?? null"
      placeholder="mild"
      @update:model-value="say(field.key, $event)"
    />
    <button v-if="weather" type="button" class="button" @click="forget">Forget this day’s weather</button>
  </div>
</template>
