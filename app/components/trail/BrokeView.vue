<script setup lang="ts">
import { symptoms } from '#catalogue'
import { places } from '#core/hazard'
import { computed, onMounted, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import type { Here } from '../../workers/trail-guide'
import TouchBike from './TouchBike.vue'

/** What is noticed, and on which bike: by a word, or by a touch on the drawn bike. */
const props = defineProps<{ here: Here }>()
const store = useTripStore()
const trail = useTrail()
const { me } = useTrailEdits()
const { bikeId: askedBike, see } = useTrailSight()

const mine = computed(() => store.openTrip.crew.find(({ id }) => id === me.value)?.bikeId)
const bikes = computed(() =>
  props.here.bikes.flatMap(({ id, symptoms: found }) => {
    const bike = store.openTrip.bikes.find((each) => each.id === id)
    return bike ? [{ bike, found }] : []
  }),
)
const now = computed(
  () =>
    bikes.value.find(({ bike }) => bike.id === (trail.bikeId || askedBike.value)) ??
    bikes.value.find(({ bike }) => bike.id === mine.value) ??
    bikes.value[0],
)
/** The drawing, which takes longest, comes when the words are there. */
const showsBike = ref(false)
onMounted(() => requestAnimationFrame(() => requestAnimationFrame(() => (showsBike.value = true))))
const isStranger = ref(false)
const whose = computed(() => (isStranger.value ? { whose: 'stranger' } : {}))

const shown = computed(() => {
  const found = new Set(now.value?.found.map(({ symptom }) => symptom))
  return symptoms.filter(({ id }) => found.has(id))
})
const touched = computed(() => places.filter((place) => shown.value.some((each) => each.places.includes(place))))
</script>

<template>
  <div class="px-4 pb-4 pt-3">
    <h1 class="text-2xl">What do you notice?</h1>
    <div v-if="bikes.length > 1" class="mt-2 flex flex-wrap gap-2" role="group" aria-label="Which bike">
      <button
        v-for="{ bike } in bikes"
        :key="bike.id"
        type="button"
        class="trail-key min-h-11! flex-1"
        :aria-pressed="bike.id === now?.bike.id"
        @click="trail.bikeId = bike.id"
      >
        {{ bike.name }}
      </button>
    </div>
    <div v-if="now" class="mt-3 grid grid-cols-2 gap-2" data-symptoms>
      <button
        v-for="symptom in shown"
        :key="symptom.id"
        type="button"
        class="trail-key justify-start! text-left!"
        @click="see('cause', { bike: now.bike.id, sign: symptom.id, ...whose })"
      >
        {{ symptom.name }}
      </button>
    </div>
    <section v-if="now" class="mt-4" aria-labelledby="touch-title">
      <h2 id="touch-title" class="text-lg">Or touch it</h2>
      <TouchBike
        v-if="showsBike"
        :bike="now.bike"
        :places="touched"
        @touch="see('cause', { bike: now.bike.id, place: $event, ...whose })"
      />
    </section>
    <button type="button" class="trail-key mt-4 w-full" :aria-pressed="isStranger" @click="isStranger = !isStranger">
      {{ isStranger ? 'A stranger’s bike, much like this one' : 'It is a stranger’s bike' }}
    </button>
  </div>
</template>
