<script setup lang="ts">
import { catalogue } from '#catalogue'
import { skillWords, type Rider } from '#core/crew'
import type { PracticeWorth } from '#core/practice'
import { isInTime } from '#core/task'
import { hoursInWords } from '#wording'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { useRiders } from '../../composables/useRiders'
import { usePractice } from '../../stores/practice'
import { useTripStore } from '../../stores/trip'
import DayField from '../common/DayField.vue'

/** Evenings of practice: those that are planned, and those that would spare most on this road. */
const store = useTripStore()
const practice = usePractice()
const { crew, practise, practiseOn, leaveUnpractised } = useRiders()

/** So many that bring most are shown. */
const most = 5
/** What brings nearly the same whoever practises it is one choice, with somebody to be named. */
const nearlyH = 0.25 / 60
/** What was left undone can be planned anew. */
const isPlanned = ({ state }: Rider['practice'][number]) => state !== 'left'
const best = computed(() => {
  const choices: { worth: PracticeWorth; riders: Rider[] }[] = []
  for (const worth of practice.worthwhile) {
    // What has just been planned is not offered once more while it is being reckoned.
    const rider = crew.value.find(
      (each) =>
        each.id === worth.riderId &&
        !each.practice.some((other) => other.technique === worth.techniqueId && isPlanned(other)),
    )
    const same = choices.find(
      (choice) =>
        choice.worth.techniqueId === worth.techniqueId &&
        choice.worth.to === worth.to &&
        choice.worth.savedH - worth.savedH < nearlyH,
    )
    if (!rider) continue
    if (same) same.riders.push(rider)
    else choices.push({ worth, riders: [rider] })
  }
  return choices.slice(0, most)
})
const techniqueName = (id: string) => catalogue.techniques.find((technique) => technique.id === id)?.name ?? id
const isAlone = computed(() => crew.value.length === 1)
/** What is planned stands here at once; what it brings, as soon as it is reckoned. */
const planned = computed(() =>
  crew.value.flatMap((rider) =>
    rider.practice.filter(isPlanned).map((each) => ({
      rider,
      ...each,
      savedH: savedBy(rider, each.technique),
      isLate: !isInTime(each, store.openTrip.ride.start),
    })),
  ),
)
const savedBy = (rider: Rider, techniqueId: string) =>
  practice.planned.find((worth) => worth.riderId === rider.id && worth.techniqueId === techniqueId)?.savedH
</script>

<template>
  <section aria-labelledby="practice-title">
    <h2 id="practice-title" class="text-base">Evenings of practice</h2>
    <p class="mt-1 max-w-prose text-xs text-soft">
      They weigh nothing. An evening at home makes “never” and “watched” into “done at home”; a day’s ride with it makes
      that “done on the road”. What each spares is the difference of two promises with the kit as it is now. Brakes,
      steering and carbon deserve a mechanic’s eye the first time.
    </p>
    <ul v-if="planned.length" class="mt-3 border-t border-line" aria-label="Planned practice">
      <li
        v-for="{ rider, technique, level, on, savedH, isLate } in planned"
        :key="`${rider.id} ${technique}`"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-2 text-sm"
      >
        <span class="min-w-48 flex-1"
          ><strong>{{ techniqueName(technique) }}</strong
          >, {{ rider.name }}: {{ skillWords[level] }} by departure<template v-if="savedH !== undefined">
            · spares <span class="figures">{{ hoursInWords(Math.max(0, savedH)) }}</span></template
          ></span
        >
        <DayField
          label="practise on"
          :model-value="on"
          :invalid="isLate"
          @update:model-value="practiseOn(rider, technique, $event)"
        />
        <button
          type="button"
          class="button button-bare"
          :aria-label="`No practice: ${techniqueName(technique)}, ${rider.name}`"
          @click="leaveUnpractised(rider, technique)"
        >
          <X :size="15" aria-hidden="true" />
        </button>
        <p v-if="isLate" class="w-full text-xs text-madder">
          The ride has begun by then, so it counts for nothing: choose a day before.
        </p>
      </li>
    </ul>
    <p v-if="practice.worths === undefined" role="status" class="mt-3 text-sm text-soft">
      Reckoning what practice is worth …
    </p>
    <ol v-else-if="best.length" class="mt-3 border-t border-line" aria-label="Practice that spares most">
      <li
        v-for="{ worth, riders } in best"
        :key="`${riders[0]?.id} ${worth.techniqueId}`"
        class="flex items-start gap-x-3 border-b border-line py-2 text-sm"
      >
        <span class="figures w-16 shrink-0 pt-0.5 text-base font-semibold">{{ hoursInWords(worth.savedH) }}</span>
        <span class="min-w-0 flex-1 pt-1"
          ><strong>{{ techniqueName(worth.techniqueId) }}</strong>
          <span class="block text-soft sm:inline">
            from {{ skillWords[worth.from] }} to {{ skillWords[worth.to] }}</span
          ></span
        >
        <span class="flex max-w-1/2 shrink-0 flex-wrap justify-end gap-1">
          <button
            v-for="rider in riders"
            :key="rider.id"
            type="button"
            class="button button-name"
            :aria-label="`${rider.name} practises: ${techniqueName(worth.techniqueId)}`"
            @click="practise(rider, worth.techniqueId)"
          >
            {{ isAlone ? 'Practise it' : `${rider.name} practises` }}
          </button>
        </span>
      </li>
    </ol>
    <p v-else class="mt-3 text-sm text-soft">Nothing more to be learnt would spare half a minute on this road.</p>
  </section>
</template>
