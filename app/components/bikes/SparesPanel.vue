<script setup lang="ts">
import { defined } from '#core/validation'
import { placesLongEnough, spokesOf } from '#core/bike'
import { spareFitsOf, fewestLengths } from '#core/spares'
import { spareReasonInWords, classInWords } from '#wording'
import { catalogue } from '#catalogue'
import { computed } from 'vue'
import { useSpares } from '../../stores/spares'
import { useTripStore } from '../../stores/trip'

/** Each spare on the bench, and the bikes it serves; what a bike wants and nothing here serves. */
const store = useTripStore()
const { wants, comesInSizes, fitsFor, servesNone } = useSpares()
const bikes = computed(() => store.openTrip.bikes)

const rows = computed(() =>
  store.openTrip.bench
    .filter(({ units }) => Object.keys(units).some(comesInSizes))
    .map((thing) => ({
      thing,
      useless: servesNone(thing),
      byBike: bikes.value.map((bike) => ({ bike, fits: fitsFor(thing, bike.id) })),
    }))
    .sort((a, b) => Number(b.useless) - Number(a.useless)),
)

/** Sized parts a bike wants that no spare on the bench serves. */
const missing = computed(() => {
  const served = new Set<string>()
  for (const thing of store.openTrip.bench) {
    for (const fit of spareFitsOf(thing, wants.value, catalogue)) {
      if (fit.verdict !== 'does not fit') served.add(`${fit.want.bike.id} ${fit.want.classId}`)
    }
  }
  return bikes.value.map((bike) => {
    const lacking = wants.value.filter((want) => {
      return want.bike.id === bike.id && comesInSizes(want.classId) && !served.has(`${bike.id} ${want.classId}`)
    })
    return { bike, classes: [...new Set(lacking.map(({ classId }) => classInWords(classId, catalogue.families)))] }
  })
})

const spokes = computed(() => bikes.value.flatMap((bike) => spokesOf(bike).map((spoke) => ({ ...spoke, bike }))))
const lengths = computed(() => fewestLengths(spokes.value))
const spokeName = (id: string) => {
  const spoke = defined(spokes.value.find((candidate) => candidate.id === id))
  return `${spoke.bike.name} ${spoke.place}${spoke.measured ? '' : ', not measured'}`
}
/** Places long enough for the longest spoke. */
const places = computed(() => {
  const longestMm = lengths.value.at(-1)?.lengthMm ?? 0
  return bikes.value.flatMap((bike) => placesLongEnough(longestMm, bike).map((place) => `${place} (${bike.name})`))
})
</script>

<template>
  <div class="pt-3">
    <p v-if="!rows.length" class="px-4 text-soft">
      No spare that comes in sizes lies on the bench yet. Lay down a tube, a quick link or a hanger, and this room says
      which bikes it serves.
    </p>
    <div v-else class="overflow-x-auto px-4" tabindex="0" role="region" aria-label="Spares and the bikes they serve">
      <table class="named-above w-full border-collapse text-sm" :style="{ '--columns': bikes.length }">
        <thead>
          <tr class="border-b border-line text-left text-xs text-soft">
            <th class="corner py-1.5 pr-3 font-normal">on the bench</th>
            <th v-for="bike in bikes" :key="bike.id" class="min-w-28 px-2 py-1.5 font-normal [overflow-wrap:anywhere]">
              {{ bike.name }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.thing.id" class="border-b border-line align-top">
            <th scope="row" class="min-w-36 py-1.5 pr-3 text-left font-semibold [overflow-wrap:anywhere]">
              {{ row.thing.name
              }}<span v-if="row.thing.count > 1" class="figures text-soft"> × {{ row.thing.count }}</span>
              <span v-if="row.useless" class="block text-xs font-semibold text-lacking">serves no bike here</span>
            </th>
            <td v-for="{ bike, fits } in row.byBike" :key="bike.id" class="px-2 py-1.5">
              <span v-for="fit in fits" :key="spareReasonInWords(fit.reason)" class="block">
                <span
                  class="font-semibold"
                  :class="{
                    'text-petrol': fit.verdict === 'serves',
                    'text-brass': fit.verdict === 'doubtful',
                    'text-soft': fit.verdict === 'does not fit',
                  }"
                  >{{ fit.verdict }}</span><span v-if="fit.reason" class="text-soft"
                  >: {{ spareReasonInWords(fit.reason) }}</span
                >
              </span>
              <span v-if="!fits.length" class="text-soft">not wanted</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <section v-if="missing.some(({ classes }) => classes.length)" class="mx-4 mt-5" aria-label="Nothing on the bench">
      <h2 class="text-base">No spare on the bench for</h2>
      <p
        v-for="{ bike, classes } in missing.filter(({ classes }) => classes.length)"
        :key="bike.id"
        class="mt-1 text-sm"
      >
        <strong>{{ bike.name }}</strong>: {{ classes.join('; ') }}
      </p>
    </section>
    <section v-if="lengths.length" class="mx-4 mt-5" aria-label="Spokes for the whole crew">
      <h2 class="text-base">
        {{ lengths.length === 1 ? 'One length of spoke serves' : `${lengths.length} lengths of spoke serve` }} all
        {{ spokes.length }} sides of wheels
      </h2>
      <p class="text-xs text-soft">
        As few as there can be, two millimetres shorter and one longer being good; proved by an exact cover.
      </p>
      <ul class="mt-1 text-sm">
        <li v-for="length in lengths" :key="length.lengthMm" class="border-b border-line py-1">
          <strong class="figures">{{ length.lengthMm }} mm</strong>
          <span class="text-soft">: {{ length.serves.map(spokeName).join('; ') }}</span>
        </li>
      </ul>
      <p class="mt-1 text-sm text-soft">
        {{
          places.length
            ? `Long enough to carry them: ${places.join('; ')}.`
            : 'No place on these bikes is long enough; tape them to the frame.'
        }}
      </p>
    </section>
  </div>
</template>
