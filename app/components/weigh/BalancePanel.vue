<script setup lang="ts">
import { defined } from '#core/validation'
import { chanceInWords, hoursInWords } from '#wording'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'
import BeamScale from './BeamScale.vue'
import DialSlider from './DialSlider.vue'
import ProofLine from './ProofLine.vue'

/** Grams against expected hours of walking, always in view, with the dial between them; a dialog has its own title. */
defineProps<{ untitled?: boolean }>()
const store = useTripStore()
const kitStore = useKitStore()
const { grams } = useView()

const kit = computed(() => kitStore.analysis?.kit)
const dials = computed(() => store.trip?.dials)
function turn(gramsPerHour: number) {
  store.edit('turn the dial', { dials: { ...defined(dials.value), gramsPerHour } }, 'dial')
}
</script>

<template>
  <section aria-label="The balance" class="px-4 py-3">
    <div class="flex items-baseline justify-between">
      <h2 v-if="!untitled" class="text-base">The balance</h2>
      <span v-if="store.trip" class="text-xs text-soft">{{
        store.trip.crew.length === 1 ? 'one rider' : `${store.trip.crew.length} riders together`
      }}</span>
    </div>
    <template v-if="kit && dials">
      <BeamScale
        class="mt-1"
        :grams="grams(kit.massG)"
        :hours="hoursInWords(kit.savedH)"
        :price-h="kit.priceH"
        :saved-h="kit.savedH"
      />
      <DialSlider :model-value="dials.gramsPerHour" @update:model-value="turn" />
      <dl class="mt-2 grid grid-cols-3 gap-3">
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft">expected on foot, of {{ hoursInWords(kit.emptyH) }} bare-handed</dt>
          <dd class="figures text-lg font-semibold">{{ hoursInWords(kit.expectedH) }}</dd>
        </div>
        <div class="flex flex-col-reverse justify-end">
          <dt class="text-xs text-soft">chance of no hour on foot</dt>
          <dd class="figures text-lg font-semibold">{{ chanceInWords(kit.rideThrough) }}</dd>
        </div>
        <ProofLine />
      </dl>
      <p class="mt-2 text-xs text-soft">Reckoned from planning values, not promised; every one can be changed.</p>
    </template>
    <p v-else class="mt-2 text-sm text-soft">
      {{
        kitStore.failure ||
        (kitStore.busy ? 'Reckoning …' : 'The balance moves as soon as there is a road and something on the bench.')
      }}
    </p>
    <FaultLines v-if="kitStore.analysis?.problems.length" class="mt-2" :lines="kitStore.analysis.problems" />
  </section>
</template>
