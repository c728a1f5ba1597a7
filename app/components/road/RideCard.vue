<script setup lang="ts">
import { ChevronDown, CloudSun } from '@lucide/vue'
import { dateOf, hoursOfTime, nearestTo, timeOf, timeOfHours, type DaylitDay, type Ride } from '#core/ride'
import { surfaces } from '#core/road'
import { forecastSchema, isWet } from '#core/weather'
import { dayInWords, daylightInWords, weatherInWords } from '#wording'
import { computed, ref } from 'vue'
import { api, linesOf } from '../../http/api'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import MeasureField from '../common/MeasureField.vue'
import TimeField from '../common/TimeField.vue'
import TypedField from '../common/TypedField.vue'
import DayCard from './DayCard.vue'
import StartField from './StartField.vue'

/** When the ride is and how fast; the days that come of it. */
const store = useTripStore()
const kit = useKitStore()
const { km, stretch, climb, system } = useView()

const ride = computed(() => store.openTrip.ride)
const days = computed(() => kit.analysis?.ride?.days ?? [])
const doubt = computed(() => kit.analysis?.ride?.clockDoubt)
const ofClock = (hours: number) =>
  hours === 0 ? 'of UTC' : `${Math.abs(hours)} h ${hours > 0 ? 'ahead of' : 'behind'} UTC`
/** Where a day ends: at a stop, or out on the road. */
const placeOf = ({ toKm }: DaylitDay) => nearestTo(store.openTrip.stops, toKm)?.name ?? km(toKm)
function ending(day: DaylitDay): string {
  const far = km(day.toKm - day.fromKm)
  if (nearestTo(ride.value.nights, day.toKm)) return `${far}, night settled at ${placeOf(day)}`
  return nearestTo(store.openTrip.stops, day.toKm) ? `${far} to ${placeOf(day)}` : far
}
const inTheDark = ({ darkH }: DaylitDay) => `${darkH.toFixed(1)} h in the dark`
const opened = ref(0)
const weather = computed(() => new Map(store.openTrip.forecast.days.map((day) => [day.date, day])))
const asking = ref(false)
const problem = ref('')

async function askForecast() {
  asking.value = true
  problem.value = ''
  const edit = store.editLater()
  try {
    await store.flush()
    const forecast = forecastSchema.parse(await api<unknown>(`/api/trips/${store.id}/forecast`, { method: 'POST' }))
    edit('ask for the weather', { forecast })
  } catch (error) {
    problem.value = linesOf(error).join(' ')
  } finally {
    asking.value = false
  }
}
function forgetForecast() {
  store.edit('forget the weather', { forecast: forecastSchema.parse({}) })
}
function weatherOf(day: DaylitDay): { words: string; wet: boolean } | undefined {
  const said = weather.value.get(dateOf(day.startsAt))
  return said && { words: weatherInWords(said, system.value), wet: isWet(said) }
}

function set<K extends keyof Ride>(key: K, value: Ride[K], label: string, merge?: string) {
  store.edit(`set ${label}`, { ride: { ...ride.value, [key]: value } }, merge)
}
function setDayStart(value: string) {
  if (value) set('dayStartsH', hoursOfTime(value.slice(0, 5)), 'the start of days')
}
function setCountry(text: string) {
  const value = text.trim().toLowerCase()
  if (value === '' || /^[a-z]{2}$/.test(value)) set('country', value || null, 'the country')
}
</script>

<template>
  <section class="card" aria-labelledby="ride-title">
    <div class="grid grid-cols-2 items-end gap-x-5 gap-y-3 p-4 md:grid-cols-[13.5rem_repeat(3,1fr)]">
      <h2 id="ride-title" class="col-span-full text-base">
        When
        <span v-if="ride.start === null" class="font-normal text-soft"
          >without a start, every place is taken to be open when you come by</span
        >
      </h2>
      <StartField
        id="ride-start"
        class="max-md:col-span-full"
        :model-value="ride.start"
        @update:model-value="set('start', $event, 'the start', 'start')"
      />
      <MeasureField
        label="Riding in a day"
        amount="time"
        :least="1"
        :most="24"
        :model-value="ride.ridingH"
        @update:model-value="$event !== null && set('ridingH', $event, 'hours of riding')"
      />
      <MeasureField
        label="Pauses to each hour"
        amount="time"
        :most="2"
        :model-value="ride.pauseH"
        @update:model-value="$event !== null && set('pauseH', $event, 'pauses')"
      />
      <TimeField
        label="Later days begin at"
        :model-value="timeOfHours(ride.dayStartsH)"
        @update:model-value="setDayStart"
      />
    </div>
    <p v-if="doubt" class="flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-line px-4 py-2 text-sm">
      <span class="min-w-0 flex-1 text-brass"
        >By a clock {{ ofClock(ride.utcOffsetH) }} the sun would be highest at
        {{ timeOfHours(doubt.noonH) }} here.</span
      >
      <button type="button" class="button" @click="set('utcOffsetH', doubt.fittingH, 'the clock')">
        Set clocks {{ ofClock(doubt.fittingH) }}
      </button>
    </p>
    <details class="border-t border-line">
      <summary class="px-4 py-2 text-sm font-semibold">
        Pace and clocks <span class="font-normal text-soft">planning values: change what you know better</span>
      </summary>
      <div class="grid grid-cols-2 gap-x-5 gap-y-3 px-4 pb-4 pt-1 sm:grid-cols-3 xl:grid-cols-5">
        <MeasureField
          v-for="surface in surfaces"
          :key="surface"
          :label="`On ${surface}`"
          amount="speed"
          :least="1"
          :most="60"
          :model-value="ride.pace[surface]"
          @update:model-value="
            $event !== null && set('pace', { ...ride.pace, [surface]: $event }, `the pace on ${surface}`)
          "
        />
        <MeasureField
          label="An hour more for a climb of"
          amount="height"
          :least="100"
          :most="3000"
          :model-value="ride.climbMPerH"
          @update:model-value="$event !== null && set('climbMPerH', $event, 'the pace uphill')"
        />
        <MeasureField
          label="Clocks ahead of UTC by"
          amount="time"
          :least="-12"
          :most="14"
          :model-value="ride.utcOffsetH"
          @update:model-value="$event !== null && set('utcOffsetH', $event, 'the clock')"
        />
        <label class="block text-sm text-soft"
          >Country, for holidays
          <TypedField
            class="field mt-1 text-ink"
            :model-value="ride.country ?? ''"
            maxlength="2"
            placeholder="two letters"
            autocomplete="off"
            @update:model-value="setCountry"
          />
        </label>
      </div>
    </details>
    <div v-if="days.length" class="overflow-x-auto border-t border-line" tabindex="0" role="region" aria-label="Days">
      <table class="w-full text-sm [&_td]:px-2 [&_th]:px-2">
        <thead>
          <tr class="text-left text-xs text-soft">
            <th scope="col" class="py-1.5 pl-4! font-normal">day</th>
            <th scope="col" class="font-normal max-md:hidden">of the road</th>
            <th scope="col" class="text-right font-normal max-md:hidden">up</th>
            <th scope="col" class="pl-5! font-normal max-md:hidden">on the road</th>
            <th scope="col" class="font-normal max-md:hidden">daylight</th>
            <th scope="col" class="font-normal">weather</th>
            <th scope="col" class="w-12"><span class="sr-only">more</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="(day, i) in days" :key="day.startsAt">
            <tr class="border-t border-line">
              <td class="py-1 pl-4!">
                <span class="whitespace-nowrap font-semibold">{{ dayInWords(day.startsAt) }}</span>
                <span class="block text-xs leading-snug text-soft md:hidden">
                  <span class="figures">{{ stretch(day.fromKm, day.toKm) }}</span>, {{ ending(day) }}<br />
                  <span class="figures">{{ timeOf(day.startsAt) }}–{{ timeOf(day.endsAt) }}</span
                  ><br />light <span class="figures">{{ daylightInWords(day) }}</span>
                  <strong v-if="day.darkH > 0.05" class="block text-brass">{{ inTheDark(day) }}</strong>
                </span>
              </td>
              <td class="max-w-40 max-md:hidden">
                <span class="figures block whitespace-nowrap">{{ stretch(day.fromKm, day.toKm) }}</span>
                <span class="block text-xs text-soft">{{ ending(day) }}</span>
              </td>
              <td class="figures whitespace-nowrap text-right max-md:hidden">{{ climb(day.climbM) }}</td>
              <td class="figures whitespace-nowrap pl-5! max-md:hidden">
                {{ timeOf(day.startsAt) }}–{{ timeOf(day.endsAt) }}
              </td>
              <td class="figures max-md:hidden">
                <span class="whitespace-nowrap">{{ daylightInWords(day) }}</span>
                <strong v-if="day.darkH > 0.05" class="block text-xs text-brass">{{ inTheDark(day) }}</strong>
              </td>
              <td
                class="figures whitespace-normal! tracking-tight max-md:w-28 max-md:text-xs"
                :class="weatherOf(day)?.wet ? 'font-semibold text-petrol' : ''"
              >
                {{ weatherOf(day)?.words ?? '—' }}
              </td>
              <td class="pr-3 text-right">
                <button
                  type="button"
                  class="button button-bare"
                  :aria-expanded="opened === day.startsAt"
                  :aria-label="`More about ${dayInWords(day.startsAt)}`"
                  @click="opened = opened === day.startsAt ? 0 : day.startsAt"
                >
                  <ChevronDown :size="15" aria-hidden="true" :class="opened === day.startsAt ? 'rotate-180' : ''" />
                </button>
              </td>
            </tr>
            <tr v-if="opened === day.startsAt" class="bg-well/60">
              <td colspan="7" class="p-0!">
                <DayCard :day="day" :place="placeOf(day)" :last="i === days.length - 1" />
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <footer
      v-if="days.length"
      class="flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-line px-4 py-2 text-sm"
    >
      <p class="min-w-0 flex-1 text-soft max-md:basis-full">
        <template v-if="problem"
          ><span role="alert" class="text-madder">{{ problem }}</span></template
        >
        <template v-else-if="weather.size">
          Weather: {{ store.openTrip.forecast.from || 'typed by hand' }}. Rain makes a day’s road wet; cold and rain
          make a night out dearer.
        </template>
        <template v-else>No weather: every day counts as dry and mild.</template>
      </p>
      <button v-if="weather.size" type="button" class="button" @click="forgetForecast">Forget the weather</button>
      <button type="button" class="button" :disabled="asking" @click="askForecast">
        <CloudSun :size="15" aria-hidden="true" />{{ asking ? 'Asking …' : 'Ask for the weather' }}
      </button>
    </footer>
  </section>
</template>
