<script setup lang="ts">
import { catalogue, symptoms } from '#catalogue'
import { failureInWords } from '#wording'
import { computed } from 'vue'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTripStore } from '../../stores/trip'
import type { Here } from '../../workers/trail-guide'

/** What it may be, the likeliest first. */
const props = defineProps<{ here: Here }>()
const store = useTripStore()
const { bikeId, symptom, place, isStranger, seeFailing, see } = useTrailSight()

const found = computed(() => props.here.bikes.find(({ id }) => id === bikeId.value)?.symptoms ?? [])
/** Of one thing that is noticed; or of everything at one place, each failure once. */
const groups = computed(() => {
  const told = new Set<string>()
  return symptoms
    .filter(({ id, places }) => (symptom.value ? id === symptom.value : places.some((each) => each === place.value)))
    .flatMap((each) => {
      const all = found.value.find((known) => known.symptom === each.id)?.causes ?? []
      const causes = all.filter(({ failure }) => !told.has(failure.event))
      for (const { failure } of causes) told.add(failure.event)
      return causes.length > 0 ? [{ ...each, causes }] : []
    })
})
const title = computed(() => (symptom.value ? (groups.value[0]?.name ?? '') : 'What is it?'))
const likely = (share: number) => (share >= 0.01 ? `${Math.round(100 * share)} %` : 'seldom')
</script>

<template>
  <div class="px-4 pb-4 pt-3">
    <h1 class="text-2xl first-letter:uppercase">{{ title }}</h1>
    <p v-if="groups.length === 0" class="mt-2 text-base">
      Nothing that is known to fail so on this bike.
      <button type="button" class="min-h-11 underline" @click="see('broke')">What do you notice?</button>
    </p>
    <section v-for="group in groups" :key="group.id" class="mt-3" :aria-label="group.name">
      <h2 v-if="!symptom" class="text-base text-soft first-letter:uppercase">{{ group.name }}</h2>
      <ul class="space-y-2" :class="symptom ? '' : 'mt-1'">
        <li v-for="{ failure, share } in group.causes" :key="failure.event">
          <button
            type="button"
            class="trail-key w-full justify-between! text-left!"
            :data-cause="`${failure.hazard} ${failure.wheel ?? ''}`"
            @click="
              seeFailing(
                { hazard: failure.hazard, bikeId: failure.bike, wheel: failure.wheel, fastener: failure.fastener },
                isStranger,
              )
            "
          >
            <span class="min-w-0 first-letter:uppercase">{{
              failureInWords(failure, catalogue, store.openTrip.bikes)
            }}</span>
            <span class="figures shrink-0 text-base font-normal text-soft">{{ likely(share) }}</span>
          </button>
        </li>
      </ul>
    </section>
    <p class="mt-3 text-base text-soft">How likely each is here, by how often it comes and how worn the bike is.</p>
  </div>
</template>
