<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { Bike } from '#core/bike'
import { jobsFor, leftOf, withJob, withoutJob, type Job } from '#core/jobs'
import { isInTime } from '#core/task'
import { priceOf } from '#core/ways'
import { priceInWords } from '#wording'
import { NuxtLink } from '#components'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { useBikes } from '../../composables/useBikes'
import { useTripStore } from '../../stores/trip'
import DayField from '../common/DayField.vue'

/** What is done to a bike at home: planned for a day, or to be planned. */
const props = defineProps<{ bike: Bike }>()
const store = useTripStore()
const { change } = useBikes()

const jobOf = (id: string) => catalogue.jobs.find((job) => job.id === id)
/** What was left undone can be planned anew. */
const isPlanned = ({ state }: Bike['jobs'][number]) => state !== 'left'
const planned = computed(() =>
  props.bike.jobs.filter(isPlanned).flatMap((each) => {
    const job = jobOf(each.job)
    return job ? [{ job, on: each.on, isLate: !isInTime(each, store.openTrip.ride.start) }] : []
  }),
)
const open = computed(() =>
  jobsFor(props.bike, catalogue.jobs).filter(
    ({ id }) => !props.bike.jobs.some((each) => each.job === id && isPlanned(each)),
  ),
)
const left = ({ renews }: Job) =>
  renews === 'bolts' || renews === 'acquaintance'
    ? ''
    : `${Math.round(100 * leftOf(props.bike, renews))} % left of the old`
const price = ({ id: jobId }: Job) =>
  priceInWords(
    priceOf({ kind: 'job', bikeId: props.bike.id, jobId }, store.openTrip, catalogue),
    store.openTrip.dials.currency,
  )

const plan = ({ id, name }: Job, on: string | null = null) =>
  change(props.bike, { jobs: withJob(props.bike, id, on).jobs }, `${name} for ${props.bike.name}`)
const leave = ({ id, name }: Job) =>
  change(props.bike, { jobs: withoutJob(props.bike, id).jobs }, `no ${name} for ${props.bike.name}`)
</script>

<template>
  <section class="p-4" aria-labelledby="jobs-title">
    <h2 id="jobs-title" class="text-lg">Jobs at home</h2>
    <p class="mt-1 max-w-prose text-sm text-soft">
      They weigh nothing. What is planned counts as done when the ride begins. What each is worth on this road stands in
      <NuxtLink class="underline" :to="{ path: `/trips/${store.id}/weigh`, query: { room: 'ways' } }"
        >Weigh, every way</NuxtLink
      >. The maker’s manual has the last word; brakes, steering and carbon deserve a mechanic.
    </p>
    <ul v-if="planned.length" class="mt-3 max-w-3xl border-t border-line" aria-label="Planned jobs">
      <li
        v-for="{ job, on, isLate } in planned"
        :key="job.id"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-2 text-sm"
      >
        <span class="min-w-48 flex-1"
          ><strong class="block first-letter:uppercase">{{ job.name }}</strong
          ><span class="text-soft">{{ price(job) }}</span></span
        >
        <DayField label="do it on" :model-value="on" :invalid="isLate" @update:model-value="plan(job, $event)" />
        <button type="button" class="button button-bare" :aria-label="`Not: ${job.name}`" @click="leave(job)">
          <X :size="15" aria-hidden="true" />
        </button>
        <p v-if="isLate" class="w-full text-xs text-madder">
          The ride has begun by then, so it counts for nothing: choose a day before.
        </p>
        <p v-if="job.caution" class="w-full text-xs text-soft">{{ job.caution }}</p>
      </li>
    </ul>
    <ul v-if="open.length" class="mt-4 max-w-3xl border-t border-line" aria-label="Jobs that could be planned">
      <li
        v-for="job in open"
        :key="job.id"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-2 text-sm"
      >
        <span class="min-w-48 flex-1"
          ><strong class="block font-normal first-letter:uppercase">{{ job.name }}</strong
          ><span class="text-soft">{{ [left(job), price(job)].filter(Boolean).join('; ') }}</span></span
        >
        <button type="button" class="button" :aria-label="`Plan: ${job.name}`" @click="plan(job)">Plan it</button>
      </li>
    </ul>
    <p v-else-if="!planned.length" class="mt-3 text-sm text-soft">All that wears is new, and the bolts are locked.</p>
  </section>
</template>
