<script setup lang="ts">
import { NuxtLink } from '#components'
import { defined } from '#core/validation'
import { chanceInWords, hoursInWords } from '#wording'
import { computed, ref } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSupposition } from '../../stores/supposition'
import { useTripStore } from '../../stores/trip'
import TermHint from '../common/TermHint.vue'
import FaultLines from '../common/FaultLines.vue'
import BeamScale from './BeamScale.vue'
import DialSlider from './DialSlider.vue'
import ProofLine from './ProofLine.vue'
import SumDialog from './SumDialog.vue'

/** Grams against the hours that they spare, always in view, with the dial between them; a dialog has its own title. */
defineProps<{ untitled?: boolean }>()
const store = useTripStore()
const kitStore = useKitStore()
const supposition = useSupposition()
const { grams } = useView()

const kit = computed(() => kitStore.told?.kit)
const dials = computed(() => store.trip?.dials)
/** The price in force: the trip's own, or the usual one of the road while it has none. */
const gramsPerHour = computed(() => dials.value?.gramsPerHour ?? kitStore.told?.gramsPerHour ?? null)
function turn(to: number | null) {
  store.edit(
    to === null ? 'set the dial by the road' : 'turn the dial',
    {
      dials: { ...defined(dials.value), gramsPerHour: to },
    },
    'dial',
  )
}
const showsSum = ref(false)
</script>

<template>
  <section aria-label="The balance" class="px-4 py-3" data-balance :aria-busy="kitStore.busy || kitStore.weighing">
    <div class="flex items-baseline justify-between">
      <h2 v-if="!untitled" class="text-base"><TermHint term="balance">The balance</TermHint></h2>
      <NuxtLink v-if="store.trip" :to="`/trips/${store.id}/crew`" class="text-xs text-soft underline">
        {{ store.trip.crew.length === 1 ? 'one rider' : `${store.trip.crew.length} riders` }}
      </NuxtLink>
    </div>
    <template v-if="kit && dials">
      <BeamScale
        class="mt-1"
        :grams="grams(kit.massG)"
        :hours="hoursInWords(kit.emptyH - kit.promiseH)"
        :price-h="gramsPerHour ? kit.massG / gramsPerHour : 0"
        :saved-h="kit.emptyH - kit.promiseH"
      />
      <DialSlider v-if="gramsPerHour !== null" :model-value="gramsPerHour" @update:model-value="turn">
        <button type="button" class="underline" @click="turn(null)">set by this road</button>
      </DialSlider>
      <dl class="mt-2 grid grid-cols-3 gap-3">
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft"><TermHint term="on foot" />, in the mean of all trips</dt>
          <dd class="figures text-lg font-semibold">{{ hoursInWords(kit.walkH) }}</dd>
        </div>
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft"><TermHint term="chance of being stranded" /></dt>
          <dd class="figures text-lg font-semibold">{{ chanceInWords(kit.stranded) }}</dd>
        </div>
        <ProofLine v-if="store.trip?.bench.length" />
      </dl>
      <button type="button" class="mt-2 text-left text-sm underline" @click="showsSum = true">
        {{ hoursInWords(kit.promiseH) }} lost in all, of {{ hoursInWords(kit.emptyH) }} bare-handed: how it adds up
      </button>
      <button
        v-if="!store.isSupposing"
        type="button"
        class="mt-2 block text-left text-sm underline pointer-coarse:min-h-11"
        @click="supposition.begin()"
      >
        Suppose it were otherwise …
      </button>
      <p class="mt-2 text-xs text-soft">
        Reckoned from <TermHint term="planning value">planning values</TermHint>, not promised; every one can be
        changed.
      </p>
      <SumDialog :open="showsSum" @close="showsSum = false" />
    </template>
    <p v-else class="mt-2 text-sm text-soft">
      {{
        kitStore.failure ||
        (kitStore.busy || kitStore.weighing
          ? 'Reckoning …'
          : 'The balance moves as soon as there is a road and something on the bench.')
      }}
    </p>
    <FaultLines v-if="kitStore.chosen?.problems.length" class="mt-2" :lines="kitStore.chosen.problems" />
  </section>
</template>
