<script setup lang="ts">
import { catalogue } from '#catalogue'
import {
  amountOfClassInWords,
  chanceInWords,
  classInWords,
  entryInWords,
  hoursInWords,
  momentInWords,
  serviceInPassing,
  wayOutInWords,
} from '#wording'
import { NuxtLink } from '#components'
import { computed, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { Here } from '../../workers/trail-guide'
import RestockLines from './RestockLines.vue'
import RoadRibbon from './RoadRibbon.vue'
import SetOffPanel from './SetOffPanel.vue'
import WhereDialog from './WhereDialog.vue'

/** Where one is, what is ahead, and what there is for it. */
const props = defineProps<{ here: Here }>()
const store = useTripStore()
const trail = useTrail()
const edits = useTrailEdits()
const { see, seeFailing } = useTrailSight()
const { km } = useView()

const showsWhere = ref(false)
const showsAll = ref(false)
/** So many stops and classes are told before more are asked for. */
const fewStops = 3
const fewClasses = 5

const ahead = computed(() => props.here.ahead)
const stops = computed(() => ahead.value.stops.slice(0, showsAll.value ? undefined : fewStops))
const classes = computed(() => ahead.value.classes.slice(0, showsAll.value ? undefined : fewClasses))
const saidBefore = computed(() => {
  const said = trail.lastPlace
  if (!said) return 'nobody has said where you are yet'
  const minutes = Math.round((Date.parse(`${trail.now}Z`) - Date.parse(`${said.at}Z`)) / 60_000)
  if (minutes < 1) return 'said just now'
  return minutes < 100 ? `said ${minutes} min ago` : `said ${hoursInWords(minutes / 60)} ago`
})
const lightWords = computed(() => {
  const left = ahead.value.report.day?.lightLeftH
  if (left === undefined) return ''
  return left <= 0 ? 'no light left today' : `${hoursInWords(left)} of light left`
})
/** Where one is as soon as it is said; the rest follows when it has been looked at. */
const roadKm = computed(() => Math.min(trail.roadKm, props.here.lengthKm))
/** The log keeps hundredths of a km. */
const nearbyKm = 0.005
const isElsewhere = computed(() => Math.abs(roadKm.value - props.here.roadKm) > nearbyKm)
const nearest = computed(() => wayOutInWords(ahead.value.report.nearest))
const haveWords = (classId: string, have: number) =>
  have > 0 ? `${amountOfClassInWords(have, classId, catalogue.families)} with you` : 'none with you'
const others = computed(() =>
  trail.away.map(({ rider, hoursOff }) => ({
    name: store.openTrip.crew.find(({ id }) => id === rider)?.name ?? '',
    hoursOff,
  })),
)
const servicesWords = (services: Here['ahead']['stops'][number]['services']) =>
  services.map(({ name, visit }) => serviceInPassing(name, visit)).join(', ')
</script>

<template>
  <div class="flex min-h-full bg-linear-to-r from-tin from-[3.75rem] to-transparent to-[3.75rem]">
    <RoadRibbon :here="here" class="sticky top-0 h-[calc(100dvh-12.5rem)] min-h-60 self-start" />
    <div class="min-w-0 flex-1 px-4 pb-4 pt-3">
      <h1 class="sr-only">Trail</h1>
      <button
        type="button"
        class="block w-full rounded-sm text-left"
        data-where
        :aria-label="`You are at ${km(roadKm)}: say where you are`"
        @click="showsWhere = true"
      >
        <span class="block text-sm text-soft">of the road · {{ saidBefore }}</span>
        <span class="flex items-baseline gap-3"
          ><span class="figures text-4xl font-bold">{{ km(roadKm) }}</span
          ><span class="text-base font-semibold underline">change</span></span
        >
      </button>
      <p v-if="isElsewhere" role="status" class="mt-1 text-base text-soft">Looking along the road …</p>
      <p v-else class="mt-1 text-base">
        <template v-if="lightWords">{{ lightWords }} · </template>{{ nearest }}
      </p>
      <p v-for="{ name, hoursOff } in others" :key="name" class="text-base">
        <strong>{{ name }}</strong> is {{ hoursInWords(hoursOff) }} off
      </p>

      <SetOffPanel v-if="!trail.hasSetOff" class="mt-3" />

      <ul v-if="edits.openFailures.value.length" class="mt-3 space-y-2" aria-label="Not mended yet">
        <li v-for="entry in edits.openFailures.value" :key="entry.id">
          <button
            type="button"
            class="trail-key w-full justify-start! border-madder! text-left!"
            @click="
              seeFailing(
                {
                  hazard: entry.hazard,
                  bikeId: entry.bikeId ?? here.bikes[0]?.id ?? '',
                  wheel: entry.wheel,
                  fastener: entry.fastener,
                },
                entry.bikeId === null,
              )
            "
          >
            <span class="min-w-0"
              ><span class="text-madder">Open:</span> {{ entryInWords(entry, store.openTrip, catalogue) }}</span
            >
          </button>
        </li>
      </ul>

      <h2 class="mt-4 text-lg">Ahead</h2>
      <p v-if="stops.length === 0" class="mt-1 text-base">No stop before the end, {{ km(here.lengthKm) }}.</p>
      <ul>
        <li v-for="stop in stops" :key="stop.stop" class="border-b border-line py-2 text-base">
          <div class="flex items-baseline gap-3">
            <strong class="min-w-0 flex-1 [overflow-wrap:anywhere]">{{ stop.name }}</strong>
            <span class="figures shrink-0 font-semibold">{{ km(Math.max(0, stop.roadKm - here.roadKm)) }}</span>
          </div>
          <div class="flex items-baseline gap-3 text-soft">
            <span class="min-w-0 flex-1">{{ servicesWords(stop.services) || 'nothing known of it' }}</span>
            <span v-if="stop.arrives !== null" class="figures shrink-0">{{ momentInWords(stop.arrives) }}</span>
          </div>
        </li>
      </ul>

      <RestockLines class="mt-4" />

      <h2 class="mt-4 text-lg">Next help, and what you have</h2>
      <ul>
        <li v-for="next in classes" :key="next.classId" class="border-b border-line py-2 text-base">
          <div class="flex items-baseline gap-3">
            <strong class="min-w-0 flex-1">{{ classInWords(next.classId, catalogue.families) }}</strong>
            <span class="shrink-0" :class="next.have > 0 ? 'text-petrol' : 'text-madder'">{{
              next.classId === 'mechanic' ? '' : haveWords(next.classId, next.have)
            }}</span>
          </div>
          <div class="flex items-baseline gap-3 text-soft">
            <span v-if="next.place" class="min-w-0 flex-1"
              >{{ next.place.name }}, {{ km(Math.max(0, next.place.roadKm - here.roadKm)) }}</span
            >
            <span v-else class="min-w-0 flex-1">nowhere before the end</span>
            <span v-if="next.place?.arrives != null" class="figures shrink-0">{{
              momentInWords(next.place.opens ?? next.place.arrives)
            }}</span>
          </div>
          <div v-if="next.perhaps" class="text-soft">
            perhaps {{ next.perhaps.name }}, {{ km(next.perhaps.roadKm - here.roadKm) }}
          </div>
        </li>
      </ul>
      <button
        v-if="ahead.stops.length > fewStops || ahead.classes.length > fewClasses"
        type="button"
        class="trail-key mt-3 w-full"
        :aria-expanded="showsAll"
        @click="showsAll = !showsAll"
      >
        {{ showsAll ? 'Less' : 'All stops and classes' }}
      </button>

      <p v-if="trail.outlook" class="mt-4 text-base" data-promise>
        To the end <strong class="figures">{{ hoursInWords(trail.outlook.promise.promiseH) }}</strong> lost in the mean,
        <strong class="figures">{{ chanceInWords(trail.outlook.promise.stranded) }}</strong> to be stranded, with what
        you have.
      </p>
      <div class="mt-3 grid grid-cols-2 gap-2">
        <button type="button" class="trail-key" @click="see('tin')">Who has what</button>
        <NuxtLink :to="`/trips/${store.id}/ready`" class="trail-key md:hidden">The plan</NuxtLink>
      </div>
      <p class="mt-4 text-sm text-soft">
        Reckoned from planning values: no guarantee. The makers’ manuals have the last word.
      </p>
    </div>
    <WhereDialog :open="showsWhere" :here="here" @close="showsWhere = false" />
  </div>
</template>
