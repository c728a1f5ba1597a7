<script setup lang="ts">
import type { WeighedAtTheDoor } from '#catalogue/demo'
import { hoursInWords, verdictInWords } from '#wording'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { api, linesOf } from '../../http/api'
import { beamScale } from '../../drawing/beam-scale'
import { useView } from '../../stores/view'
import BeamBars from '../weigh/BeamBars.vue'

/** A first tin, weighed alive: how far apart the shops lie decides what comes along. */
const { grams, km, massWord } = useView()
const gapKm = ref(150)
const things = shallowRef<readonly WeighedAtTheDoor[]>([])
const picked = ref('')
const failure = ref('')

let isWeighing = false

/** Weighs for where the slider stands; while it weighs, only the newest place waits. */
async function weigh() {
  if (isWeighing) return
  isWeighing = true
  let at = -1
  try {
    while (at !== gapKm.value) {
      at = gapKm.value
      things.value = await api<WeighedAtTheDoor[]>(`/api/door?km=${at}`)
    }
    failure.value = ''
  } catch (error) {
    failure.value = linesOf(error).join(' ')
  }
  isWeighing = false
}
onMounted(() => void weigh())
watch(gapKm, () => void weigh())

const shown = computed(() => things.value.find(({ id }) => id === picked.value) ?? things.value[0])
const scale = computed(() => beamScale(things.value))
const takenG = computed(() => things.value.reduce((sum, { n, carriedG }) => sum + (n > 0 ? carriedG : 0), 0))
</script>

<template>
  <section aria-labelledby="beam" class="colours max-w-2xl">
    <label class="block">
      <span id="beam" class="flex flex-wrap items-baseline justify-between gap-x-3 text-sm">
        <span>From one bike shop to the next</span>
        <span class="figures text-lg font-bold">{{ km(gapKm) }}</span>
      </span>
      <input v-model.number="gapKm" type="range" min="20" max="400" step="10" class="mt-1 w-full accent-[#f4ecd8]" />
    </label>
    <p v-if="failure" class="mt-2 text-sm">{{ failure }}</p>
    <!-- As high as it will be: what stands over it must not jump. -->
    <ul class="mt-2 min-h-[13.8rem] max-md:min-h-[22rem]" :aria-busy="!things.length">
      <li v-for="thing in things" :key="thing.id">
        <button
          type="button"
          class="grid w-full grid-cols-[minmax(0,1fr)_3.4rem_6rem_4.4rem] items-center gap-2 border-b border-tin-ink/20 py-1 text-left text-sm hover:bg-white/5 max-md:min-h-11 sm:grid-cols-[minmax(0,1fr)_3.4rem_9rem_4.4rem]"
          :aria-pressed="thing.id === shown?.id"
          :class="thing.id === shown?.id ? 'bg-white/10' : ''"
          @click="picked = thing.id"
        >
          <span class="min-w-0 break-words pl-1" :class="thing.n > 0 ? 'font-semibold' : 'text-tin-ink/70'"
            >{{ thing.name
            }}<span v-if="thing.needs.length" class="text-xs"> with {{ thing.needs.length }} more</span></span
          >
          <span class="figures text-right text-xs text-tin-ink/70">{{ grams(thing.carriedG) }}</span>
          <BeamBars :price-h="thing.priceH" :hours="thing.hours" :taken="thing.n > 0" :scale="scale" />
          <span class="stamped pr-1 text-right text-xs">{{ verdictInWords(thing.n) }}</span>
        </button>
      </li>
    </ul>
    <p role="status" class="mt-3 min-h-[4.5em] text-sm text-tin-ink/85">
      <template v-if="shown">
        <strong>{{ shown.name }}</strong>,
        {{ shown.needs.length ? `with what it needs (${shown.needs.join(', ')}), ` : '' }}{{ grams(shown.carriedG) }}:
        {{ shown.n > 0 ? 'spares' : 'would spare' }} {{ hoursInWords(shown.hours) }} in the mean over many such trips;
        its {{ massWord }} cost {{ hoursInWords(shown.priceH) }}, at {{ grams(500) }} for an hour.
        <template v-if="shown.why">Most by this: {{ shown.why.failure }}.</template>
        All that comes along weighs {{ grams(takenG) }}.
      </template>
    </p>
    <p class="mt-1 text-xs text-tin-ink/70">
      Reckoned as you ask, from planning values, for one touring bike; yours decide on your own road.
    </p>
  </section>
</template>

<style scoped>
/* On enamel, by day too, things have the colours of the night. */
.colours {
  --petrol: #7cc2b6;
  --sand: #cdbb93;
  --ink: var(--tin-ink);
}
</style>
