<script setup lang="ts">
import type { PlaceReport, WayOut } from '#core/availability'
import { nightPlaceAt, nightAt, setNights, timeOf } from '#core/ride'
import { momentInWords, hoursInWords } from '#wording'
import { Tent } from '@lucide/vue'
import { useThrottleFn } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'

/** All that is to be said of the place the cursor stands at: every way out, and the light there is for it. */
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { km } = useView()

const place = shallowRef<PlaceReport | null>(null)
const read = useThrottleFn(
  async () => {
    if (kit.analysis?.view) place.value = await kit.readPlace(selection.cursorKm)
  },
  60,
  true,
)
watch(() => [selection.cursorKm, kit.analysis], read, { immediate: true })

/** Where the cursor is now, which may be ahead of what has been read. */
const bed = computed(() => nightPlaceAt(store.openTrip.stops, Math.round(selection.cursorKm * 10) / 10))
const night = computed(() => nightAt(store.openTrip.ride.nights, bed.value))
const isBetweenEnds = computed(() => {
  const lengthKm = kit.analysis?.lengthKm ?? 0
  return selection.cursorKm > 0 && selection.cursorKm < lengthKm
})
function sleepHere() {
  const { roadKm } = bed.value
  const { ride } = store.openTrip
  const id = `night-${crypto.randomUUID().slice(0, 8)}`
  const nights = setNights(ride.nights, bed.value, night.value ? 0 : 1, id)
  store.edit(night.value ? `no night at ${km(roadKm)}` : `a night at ${km(roadKm)}`, { ride: { ...ride, nights } })
}

const walk = (way: WayOut) => `${hoursInWords(way.walkH)} to ${way.place}`
const toHelp = (way: WayOut) =>
  way.waitH > 0 ? `${walk(way)}, which opens ${hoursInWords(way.waitH)} later` : walk(way)
const nights = (count: number) => (count === 0 ? '' : count === 1 ? ', a night out' : `, ${count} nights out`)
const after = computed(() => {
  const day = place.value?.day
  if (!day) return undefined
  return {
    light: `${momentInWords(day.passes)}, ${day.lightLeftH > 0 ? `${hoursInWords(day.lightLeftH)} of light left` : 'in the dark'}`,
    then: `out ${momentInWords(day.then.at)}${nights(day.then.nights)}`,
    worst: day.worst
      ? `at ${timeOf(day.worst.at)}: ${hoursInWords(day.worst.out.hours)} until out${nights(day.worst.out.nights)}`
      : 'any hour is as good as another',
  }
})
</script>

<template>
  <section v-if="place" class="card px-4 py-3" aria-labelledby="place-title" aria-live="polite">
    <div class="flex items-start gap-3">
      <h2 id="place-title" class="min-w-0 flex-1 text-base">
        If it breaks at <span class="figures">{{ km(selection.cursorKm) }}</span>
      </h2>
      <button
        v-if="place.day && isBetweenEnds"
        type="button"
        class="button min-h-7! py-0.5! max-md:min-h-11!"
        :aria-pressed="night !== undefined"
        @click="sleepHere"
      >
        <Tent :size="15" aria-hidden="true" />{{ night ? 'No night here' : 'A night here' }}
      </button>
    </div>
    <dl
      :class="{ 'opacity-60': place.roadKm !== selection.cursorKm }"
      class="mt-1.5 grid grid-cols-2 gap-x-5 gap-y-1.5 text-sm md:grid-cols-3 [&_dt]:text-xs [&_dt]:text-soft"
    >
      <div>
        <dt>ahead, on foot</dt>
        <dd :class="{ 'font-semibold': place.nearest.way === 'ahead' }">{{ toHelp(place.ahead) }}</dd>
      </div>
      <div>
        <dt>back, on foot</dt>
        <dd :class="{ 'font-semibold': place.nearest.way === 'back' }">{{ toHelp(place.back) }}</dd>
      </div>
      <div>
        <dt>way out of the ride</dt>
        <dd v-if="place.exit">
          {{ walk(place.exit) }}, {{ place.exit.exit
          }}<template v-if="place.exit.waitH"> after {{ hoursInWords(place.exit.waitH) }}</template>
        </dd>
        <dd v-else>none</dd>
      </div>
      <div>
        <dt>a lift</dt>
        <dd>{{ place.liftH === null ? 'not counted on' : `in ${hoursInWords(place.liftH)}` }}</dd>
      </div>
      <template v-if="after">
        <div>
          <dt>you are there {{ after.light }}</dt>
          <dd>{{ after.then }}</dd>
        </div>
        <div>
          <dt>worst hour to break down</dt>
          <dd>{{ after.worst }}</dd>
        </div>
      </template>
    </dl>
  </section>
</template>
