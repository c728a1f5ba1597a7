<script setup lang="ts">
import type { Price, Way } from '#core/ways'
import { deedKindWords, hoursInWords, moneyInWords } from '#wording'
import { computed, useId } from 'vue'
import { useDeeds } from '../../composables/useDeeds'
import type { BeamScale } from '../../drawing/beam-scale'
import { useTripStore } from '../../stores/trip'
import BeamBars from './BeamBars.vue'
import WayDetail from './WayDetail.vue'

/** Something one can do, as a beam: what it costs at home to the left, the hours it spares on the road to the right. */
const props = defineProps<{ way: Way; price: Price; gainH: number; scale: BeamScale; open: boolean }>()
const emit = defineEmits<{ toggle: []; ask: [] }>()
const store = useTripStore()
const { inWords, isDone, carryOut, takeBack } = useDeeds()

const id = useId()
const deed = computed(() => props.way.deed)
const taken = computed(() => isDone(deed.value))
const minutes = computed(() => (props.price.minutes > 0 ? hoursInWords(props.price.minutes / 60) : ''))
const money = computed(() => moneyInWords(props.price.money, store.openTrip.dials.currency))
/** What one sees of it elsewhere is taken back there. */
const canBeTakenBack = computed(() => ['job', 'practice', 'parcel', 'buy'].includes(deed.value.kind))
function act() {
  if (deed.value.kind === 'ask') emit('ask')
  else if (taken.value) takeBack(deed.value)
  else carryOut(deed.value)
}
</script>

<template>
  <li class="border-b border-line" :class="open ? 'bg-brass-wash' : ''">
    <div class="way grid items-center gap-2 px-4 py-1">
      <button
        type="button"
        class="what min-w-0 py-1 text-left pointer-coarse:min-h-11"
        :aria-expanded="open"
        :aria-controls="id"
        data-row
        @click="$emit('toggle')"
      >
        <span :class="taken ? 'font-semibold' : ''">{{ inWords(deed) }}</span>
      </button>
      <span class="cost figures text-right text-xs text-soft"
        ><span class="block">{{ minutes }}</span
        ><span class="block">{{ money }}</span></span
      >
      <BeamBars class="beam" :price-h="price.hours" :hours="gainH" :taken="taken" :scale="scale" />
      <span class="spared figures text-xs" :class="taken ? 'font-semibold' : 'text-soft'">{{
        hoursInWords(gainH)
      }}</span>
      <span class="verdict flex justify-end">
        <button
          v-if="!taken || canBeTakenBack"
          type="button"
          class="button min-h-7! w-full justify-center px-2! text-sm"
          :class="taken ? 'border-petrol! bg-petrol! text-on-petrol!' : ''"
          :aria-pressed="deed.kind === 'ask' ? undefined : taken"
          :aria-label="`${deedKindWords[deed.kind]}: ${inWords(deed)}`"
          @click="act"
        >
          {{ deedKindWords[deed.kind] }}
        </button>
        <span v-else class="stamped rounded-[3px] bg-petrol px-1.5 py-0.5 text-on-petrol">planned</span>
      </span>
    </div>
    <WayDetail v-if="open" :id="id" :way="way" :price="price" />
  </li>
</template>

<style scoped>
.way {
  grid-template-columns: minmax(0, 15rem) 4rem minmax(0, 1fr) 4.2rem var(--verdict-width, 4.8rem);
  grid-template-areas: 'what cost beam spared verdict';
  min-height: 2.4rem;
}
.what {
  grid-area: what;
}
.cost {
  grid-area: cost;
}
.beam {
  grid-area: beam;
}
.spared {
  grid-area: spared;
}
.verdict {
  grid-area: verdict;
}
@media (max-width: 47.99rem) {
  .way {
    grid-template-columns: 4.4rem minmax(0, 1fr) 4rem;
    grid-template-areas:
      'what what what'
      'cost beam spared'
      'verdict verdict verdict';
    padding-block: 0.5rem;
  }
  .cost {
    text-align: left;
  }
  .verdict {
    justify-content: flex-start;
  }
}
</style>
