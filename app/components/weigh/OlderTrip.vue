<script setup lang="ts">
import { reckoningNow } from '#core/trip'
import { chanceInWords, hoursInWords, verdictInWords } from '#wording'
import { computed, shallowRef, watch } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { KitAtPrice } from '../../workers/kit-chooser'

/**
 * What is new about a trip that was last weighed by an older reckoning: shown once, with the kit under the price that was set
 * then beside the one under the price of this road.
 */
const store = useTripStore()
const kitStore = useKitStore()
const { grams } = useView()

const kit = computed(() => kitStore.kit)
const dials = computed(() => store.openTrip.dials)
const isOlder = computed(() => dials.value.gramsPerHour !== null && dials.value.reckoning < reckoningNow)
const usual = shallowRef<KitAtPrice | null>(null)
watch(
  () => isOlder.value && kitStore.weighed,
  async (weighed) => {
    if (weighed) usual.value = await kitStore.asTheRoadSetsIt()
  },
  { immediate: true },
)
/** The things of which the two kits take different numbers, those with the greater mass first. */
const apart = computed(() => {
  const counts = usual.value?.counts
  if (!counts || !kit.value) return []
  const things = new Map(store.openTrip.bench.map((thing) => [thing.id, thing]))
  return kit.value.verdicts
    .flatMap(({ item, n }) => {
      const thing = things.get(item)
      const then = counts[item] ?? 0
      return thing && then !== n
        ? [{ id: item, name: thing.name, n, then, massG: Math.abs(then - n) * thing.massG }]
        : []
    })
    .sort((a, b) => b.massG - a.massG)
})
const sides = computed(() =>
  kit.value && usual.value && dials.value.gramsPerHour !== null
    ? [
        { name: 'as you left the dial', ...kit.value, gramsPerHour: dials.value.gramsPerHour },
        { name: 'as this road would set it', ...usual.value },
      ]
    : [],
)
function settle(gramsPerHour: number | null) {
  store.edit(gramsPerHour === dials.value.gramsPerHour ? 'keep the dial' : 'set the dial by the road', {
    dials: { ...dials.value, gramsPerHour, reckoning: reckoningNow },
  })
}
</script>

<template>
  <section v-if="isOlder && sides.length" class="card mx-4 mt-4 px-4 py-3 text-sm" aria-labelledby="older-title">
    <h2 id="older-title" class="text-base">This trip is weighed anew</h2>
    <p class="mt-1 max-w-prose">
      Since it was last weighed, hours are reckoned otherwise. Failures share what is carried, so that fewer spares of a
      kind are wanted; what is carried may fail, so that a second way counts; waiting and nights out are no longer
      counted as hours on foot. What you laid on the bench, pinned and set is as you left it, the worth of an hour too:
      it was set against the old hours, and this road would set it otherwise.
    </p>
    <table class="mt-3 w-full max-w-2xl">
      <thead>
        <tr class="border-b border-line text-left text-soft">
          <th scope="col" class="py-1 pr-3 font-normal"><span class="sr-only">what</span></th>
          <th v-for="side in sides" :key="side.name" scope="col" class="py-1 pl-3 text-right font-normal">
            {{ side.name }}
          </th>
        </tr>
      </thead>
      <tbody
        class="[&_td]:py-1 [&_td]:pl-3 [&_td]:text-right [&_th]:py-1 [&_th]:pr-3 [&_th]:text-left [&_th]:font-normal"
      >
        <tr>
          <th scope="row">an hour lost is worth</th>
          <td v-for="side in sides" :key="side.name" class="figures">{{ grams(side.gramsPerHour) }}</td>
        </tr>
        <tr>
          <th scope="row">the kit</th>
          <td v-for="side in sides" :key="side.name" class="figures">{{ grams(side.massG) }}</td>
        </tr>
        <tr>
          <th scope="row">hours lost, in the mean</th>
          <td v-for="side in sides" :key="side.name" class="figures">{{ hoursInWords(side.promiseH) }}</td>
        </tr>
        <tr class="border-b border-line">
          <th scope="row">chance of being stranded</th>
          <td v-for="side in sides" :key="side.name" class="figures">{{ chanceInWords(side.stranded) }}</td>
        </tr>
        <tr v-for="thing in apart" :key="thing.id">
          <th scope="row" class="break-words">{{ thing.name }}</th>
          <td>{{ verdictInWords(thing.n) }}</td>
          <td>{{ verdictInWords(thing.then) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="apart.length === 0" class="mt-2 text-soft">Both take the same things.</p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="button" @click="settle(dials.gramsPerHour)">Keep it as it is</button>
      <button type="button" class="button" @click="settle(usual?.gramsPerHour ?? null)">Set it by this road</button>
    </div>
  </section>
</template>
