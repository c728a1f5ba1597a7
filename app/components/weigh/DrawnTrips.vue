<script setup lang="ts">
import { catalogue } from '#catalogue'
import { chanceInWords, classInWords, grouped, hoursInWords, kmInWords } from '#wording'
import { classOfStock } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { computed } from 'vue'
import { useDrawnTrips } from '../../stores/drawn-trips'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import StakesBar from './StakesBar.vue'
import WalkChart from './WalkChart.vue'

/** Trips drawn by lot from the same numbers: what the mean of the promise is made of. */
const kit = useKitStore()
const store = useTripStore()
const drawing = useDrawnTrips()
const { system } = useView()

const done = computed(() => (drawing.state.stage === 'done' ? drawing.state : undefined))
const report = computed(() => done.value?.drawn.report)
const isOld = computed(() => done.value !== undefined && done.value.with !== kit.weighed)
/** Two standard errors each way. */
const stranding = computed(() => {
  if (!report.value) return ''
  const { stranded, strandedSe } = report.value
  const [least, most] = [Math.max(0, stranded - 2 * strandedSe), stranded + 2 * strandedSe]
  return `stranded, between ${chanceInWords(least)} and ${chanceInWords(most)}`
})
const off = computed(() => {
  const promised = done.value?.with.kit?.promiseH
  return report.value && promised ? promised / report.value.meanH - 1 : 0
})
const strandedLegs = computed(() => {
  const edges = done.value?.with.built.edges ?? []
  return (report.value?.strandedOn ?? []).map((share, leg) => ({
    fromKm: nth(edges, leg),
    toKm: nth(edges, leg + 1),
    hours: share,
  }))
})
const nameOf = (id: string) => store.trip?.bench.find((thing) => thing.id === id)?.name ?? id
const ranOut = computed(() =>
  Object.entries(report.value?.ranOut ?? {})
    // Of what is not carried at all nothing can run out.
    .filter(([stock]) => carried.value.has(stock))
    .map(([stock, { trips }]) => ({ stock, trips }))
    .sort((a, b) => b.trips - a.trips)
    .slice(0, 12),
)
const carried = computed(() => {
  const { kit: chosen, built } = done.value?.with ?? {}
  const stocks = (built?.ledger.items ?? []).flatMap(({ units }, i) =>
    (chosen?.counts[i] ?? 0) > 0 ? Object.keys(units) : [],
  )
  return new Set(stocks)
})
const stockName = (stock: string) => classInWords(classOfStock(stock), catalogue.families)
const neverUsed = computed(() =>
  Object.entries(report.value?.neverUsed ?? {})
    .filter(([, count]) => count > 0)
    .map(([id, count]) => (count > 1 ? `${count} × ${nameOf(id)}` : nameOf(id))),
)
</script>

<template>
  <div class="px-4 py-3">
    <p class="max-w-prose text-sm text-soft">
      Trips drawn by lot from the same numbers that the kit was chosen by, one failure after another. The same seed
      draws the same trips, whatever is carried.
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label class="text-sm text-soft"
        >Trips
        <select v-model.number="drawing.trips" class="field mt-1 block text-ink">
          <option v-for="count in [2000, 20000, 100000]" :key="count" :value="count">{{ grouped(count) }}</option>
        </select>
      </label>
      <label class="text-sm text-soft"
        >Seed
        <input
          v-model.number="drawing.seed"
          class="field mt-1 block w-24 text-ink"
          type="number"
          min="0"
          max="4294967295"
          step="1"
        />
      </label>
      <button v-if="drawing.state.stage === 'running'" type="button" class="button" @click="drawing.stop()">
        Stop
      </button>
      <button v-else type="button" class="button button-main" :disabled="!kit.kit" @click="drawing.run()">
        Draw the trips
      </button>
    </div>
    <p v-if="drawing.state.stage === 'running'" class="mt-3 text-sm" role="status">
      {{ grouped(drawing.state.drawn) }} of {{ grouped(drawing.trips) }} drawn
    </p>
    <p v-else-if="drawing.state.stage === 'failed'" class="mt-3 text-sm text-madder" role="alert">
      {{ drawing.state.message }}
    </p>

    <template v-if="done && report">
      <p v-if="isOld" class="mt-3 border-l-4 border-brass pl-2 text-sm">
        The kit has changed since; these trips were ridden with the one before.
      </p>
      <dl class="mt-4 grid gap-3 sm:grid-cols-3" data-report>
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft">
            lost in the mean, ± {{ hoursInWords(2 * report.seH) }}; promised
            {{ hoursInWords(done.with.kit?.promiseH ?? 0) }}
          </dt>
          <dd class="figures text-lg font-semibold">{{ hoursInWords(report.meanH) }}</dd>
        </div>
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft">of it on foot, ± {{ hoursInWords(2 * report.walkSeH) }}</dt>
          <dd class="figures text-lg font-semibold">{{ hoursInWords(report.walkH) }}</dd>
        </div>
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft">{{ stranding }}</dt>
          <dd class="figures text-lg font-semibold">{{ chanceInWords(report.stranded) }}</dd>
        </div>
      </dl>
      <p v-if="Math.abs(off) > 0.05" class="mt-2 border-l-4 border-brass pl-2 text-sm">
        The promise is {{ Math.round(100 * Math.abs(off)) }} % {{ off > 0 ? 'higher' : 'lower' }}. It takes what is left
        of each stock by itself, which is not quite so where one mend uses two things that are both short; the drawn
        trips are right.
      </p>

      <h2 class="mt-5 text-base">Hours on foot</h2>
      <WalkChart class="mt-2" :by-walk-h="done.drawn.byWalkH" />

      <template v-if="report.stranded > 0">
        <h2 class="mt-5 text-base">Where one is stranded</h2>
        <StakesBar class="mt-2" :stakes="strandedLegs" />
        <p class="mt-1 flex justify-between text-xs text-soft">
          <span>{{ kmInWords(0, system) }}</span><span>{{ kmInWords(strandedLegs.at(-1)?.toKm ?? 0, system) }}</span>
        </p>
      </template>

      <div class="mt-5 grid gap-6 md:grid-cols-2">
        <section aria-labelledby="ran-out">
          <h2 id="ran-out" class="text-base">What ran out</h2>
          <p v-if="!ranOut.length" class="mt-1 text-sm text-soft">Nothing, on any of these trips.</p>
          <ul v-else class="mt-1 border-t border-line text-sm">
            <li
              v-for="{ stock, trips } in ranOut"
              :key="stock"
              class="flex justify-between gap-3 border-b border-line py-1"
            >
              <span>{{ stockName(stock) }}</span><span class="figures">{{ chanceInWords(trips) }} of trips</span>
            </li>
          </ul>
        </section>
        <section aria-labelledby="never-used">
          <h2 id="never-used" class="text-base">Never used on any of them</h2>
          <p v-if="!neverUsed.length" class="mt-1 text-sm text-soft">Each piece of the kit was wanted at least once.</p>
          <ul v-else class="mt-1 border-t border-line text-sm">
            <li v-for="name in neverUsed" :key="name" class="border-b border-line py-1">{{ name }}</li>
          </ul>
        </section>
      </div>
    </template>
  </div>
</template>
