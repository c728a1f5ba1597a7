<script setup lang="ts">
import { mostFlats } from '#core/stress'
import { chanceInWords, hoursInWords, movedInWords } from '#wording'
import { computed } from 'vue'
import { useStress } from '../../stores/stress'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** How the kit does on bad days: several flats on one of them, and each place along the road shut when one comes. */
const store = useTripStore()
const stress = useStress()
const { stretch, km, grams } = useView()
stress.watchKit()

/** Hours that come to less are none. */
const hardlyH = 0.05
const words = ['one flat', 'two', 'three', 'four', 'five'].slice(0, mostFlats)
const nameOfBike = (id: string) => store.openTrip.bikes.find((bike) => bike.id === id)?.name ?? id
const placeOf = (id: string) => store.openTrip.stops.find((stop) => stop.id === id)
const places = computed(() =>
  stress.shut.flatMap((place) => {
    const stop = placeOf(place.stop)
    return stop ? [{ place, stop, moreH: place.promiseH - (stress.now?.promiseH ?? 0) }] : []
  }),
)
/** Places that matter; of the others it is enough to say that they do not. */
const mattering = computed(() => places.value.filter(({ moreH }) => moreH >= hardlyH))
const idle = computed(() => places.value.filter(({ moreH }) => moreH < hardlyH).map(({ stop }) => stop.name))
const comes = computed(() => movedInWords(stress.moved, 'comes'))
const stays = computed(() => movedInWords(stress.moved, 'stays'))
</script>

<template>
  <div class="space-y-8 p-4">
    <div>
      <p class="max-w-prose text-sm text-soft">
        What the kit as it is does when things come thick. On the whole the promise has them in it already: here they
        stand by themselves.
      </p>
      <p v-if="stress.isBusy" role="status" class="mt-2 text-sm text-soft">Trying bad days …</p>
    </div>

    <section aria-labelledby="flats-in-a-day">
      <h2 id="flats-in-a-day" class="text-lg">Several flats in one day</h2>
      <p class="mt-1 max-w-prose text-sm text-soft">
        On one bike, where it costs most, and nothing else fails: how likely all of them are mended on the spot, and the
        hours lost with mending and walking.
      </p>
      <p v-if="!stress.isBusy && !stress.flats.length" class="mt-2 text-soft">No tyre of these bikes goes flat here.</p>
      <div v-for="flat in stress.flats" :key="flat.bike" class="mt-3">
        <h3 class="flex flex-wrap items-baseline gap-x-3">
          <span class="wrap-anywhere min-w-0 font-semibold">{{ nameOfBike(flat.bike) }}</span>
          <span class="figures text-sm text-soft">{{ stretch(flat.fromKm, flat.toKm) }}</span>
        </h3>
        <ol class="mt-1 grid grid-cols-5 border-y border-line" :aria-label="`Flats of ${nameOfBike(flat.bike)}`">
          <li
            v-for="{ times, mended, hours } in flat.often"
            :key="times"
            class="px-2 py-1.5 text-right not-first:border-l not-first:border-line max-sm:px-1"
          >
            <span class="block text-xs text-soft">{{ words[times - 1] }}</span>
            <span class="figures block font-semibold">{{ chanceInWords(mended) }}</span>
            <span class="figures block text-sm">{{ hoursInWords(hours) }}</span>
          </li>
        </ol>
      </div>
    </section>

    <section aria-labelledby="place-shut">
      <h2 id="place-shut" class="text-lg">A place that is shut when you come</h2>
      <p class="mt-1 max-w-prose text-sm text-soft">
        Each place that helps, with nothing there after all, and the same kit. The worst comes first.
      </p>
      <p v-if="!stress.isBusy && !places.length" class="mt-2 text-soft">
        No place along this road helps: none can be shut.
      </p>
      <template v-else-if="places.length">
        <div
          v-if="mattering.length"
          class="head mt-3 grid gap-x-3 pb-1 text-xs text-soft max-sm:hidden"
          aria-hidden="true"
        >
          <span>place</span><span class="text-right">at</span><span class="text-right">lost more</span
          ><span class="text-right">lost then</span><span class="text-right">stranded then</span>
        </div>
        <ul v-if="mattering.length" class="border-t border-line" aria-label="Places that are shut">
          <li
            v-for="{ place, stop, moreH } in mattering"
            :key="stop.id"
            class="head grid items-baseline gap-x-3 border-b border-line py-1.5"
          >
            <span class="name wrap-anywhere min-w-0">{{ stop.name }}</span>
            <span class="figure"
              ><span class="figures">{{ km(stop.roadKm) }}</span></span
            >
            <span class="figure"
              ><span class="sm:hidden">lost more </span
              ><span class="figures font-semibold">{{ hoursInWords(moreH) }}</span></span
            >
            <span class="figure"
              ><span class="sm:hidden">lost then </span
              ><span class="figures">{{ hoursInWords(place.promiseH) }}</span></span
            >
            <span class="figure"
              ><span class="sm:hidden">stranded then </span
              ><span class="figures">{{ chanceInWords(place.stranded) }}</span></span
            >
          </li>
        </ul>
        <p v-if="idle.length && !stress.isBusy" class="wrap-anywhere mt-2 max-w-prose text-sm text-soft">
          Hardly anything is lost more when one of these is shut: {{ idle.join(', ') }}.
        </p>
        <p v-if="stress.now" class="mt-2 text-sm text-soft">
          With all of them as they are: {{ hoursInWords(stress.now.promiseH) }} lost,
          {{ chanceInWords(stress.now.stranded) }} stranded.
        </p>
      </template>
      <div v-if="stress.knowing" class="mt-4 max-w-prose rounded-tin border border-line p-3">
        <h3 class="wrap-anywhere font-semibold">Knowing that {{ placeOf(stress.knowing.stop)?.name }} is shut</h3>
        <p v-if="!comes && !stays" class="mt-1 text-sm">The same kit would be the best.</p>
        <template v-else>
          <p class="mt-1 text-sm">
            The best kit would be one of {{ grams(stress.knowing.kit.massG) }}, with
            {{ hoursInWords(stress.knowing.kit.promiseH) }} lost.
          </p>
          <p v-if="comes" class="mt-1 text-xs"><span class="text-soft">and</span> {{ comes }}</p>
          <p v-if="stays" class="mt-0.5 text-xs"><span class="text-soft">without</span> {{ stays }}</p>
        </template>
      </div>
    </section>
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.head {
  grid-template-columns: minmax(0, 1fr) 5rem 5.5rem 5.5rem 6.5rem;
}
.figure {
  @apply text-right text-sm;
}
@media (max-width: 39.99rem) {
  .head {
    grid-template-columns: 1fr 1fr;
  }
  .name {
    grid-column: 1 / -1;
  }
  .figure {
    @apply text-left text-xs text-soft;
  }
}
</style>
