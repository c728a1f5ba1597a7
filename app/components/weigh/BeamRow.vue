<script setup lang="ts">
import { Pin } from '@lucide/vue'
import { shopOf } from '#core/bench'
import { hoursInWords, verdictInWords } from '#wording'
import { computed } from 'vue'
import type { WeighedThing } from '../../stores/verdicts'
import type { BeamScale } from '../../drawing/beam-scale'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import BeamBars from './BeamBars.vue'

/** One thing as a beam: the grams it costs to the left, the hours it spares to the right. */
const props = defineProps<{ row: WeighedThing; scale: BeamScale; selected: boolean }>()
defineEmits<{ select: []; pin: [] }>()
const store = useTripStore()
const { grams, shopInWords } = useView()

const taken = computed(() => props.row.verdict.verdict === 'take')
/** The limit that keeps it at home. */
const beyond = computed(() => {
  const { massG, money } = props.row.verdict.beyond
  return [...(massG > 0 ? ['too heavy'] : []), ...(money > 0 ? ['too dear'] : [])].join(', ')
})
const shop = computed(() => shopOf(props.row.thing, store.openTrip.stops))
const words = computed(() => verdictInWords(props.row.verdict.n, shop.value !== undefined))
</script>

<template>
  <li :id="`thing-${row.thing.id}`" class="group relative">
    <button
      type="button"
      class="row grid w-full items-center gap-2 border-b border-line px-4 py-1 text-left"
      :class="selected ? 'bg-brass-wash' : 'hover:bg-well/60'"
      :aria-pressed="selected"
      data-row
      @click="$emit('select')"
      @keydown.space.prevent="$emit('pin')"
    >
      <span class="what flex min-w-0 flex-wrap items-center gap-x-1.5">
        <span class="min-w-0" :class="taken ? 'font-semibold' : ''">{{ row.thing.name }}</span>
        <span v-if="row.verdict.together.length" class="shrink-0 text-xs text-soft"
          >with {{ row.verdict.together.length }} more</span
        >
        <span v-if="shop" class="min-w-0 text-xs text-soft">{{ shopInWords(shop) }}</span>
        <span v-if="beyond" class="shrink-0 text-xs text-brass">{{ beyond }}</span>
        <Pin v-if="row.verdict.pinned" :size="13" class="shrink-0 text-brass" aria-label="pinned" />
      </span>
      <span class="cost figures text-right text-xs text-soft">{{ grams(row.verdict.carriedG) }}</span>
      <BeamBars class="beam" :price-h="row.verdict.priceH" :hours="row.hours" :taken="taken" :scale="scale" />
      <span class="spared figures text-xs" :class="taken ? 'font-semibold' : 'text-soft'">{{
        hoursInWords(row.hours)
      }}</span>
      <span class="verdict flex justify-end">
        <span
          class="stamped rounded-[3px] px-1.5 py-0.5"
          :class="taken ? 'bg-petrol text-on-petrol' : 'border border-line text-soft'"
          >{{ words }}</span
        >
      </span>
    </button>
  </li>
</template>

<style scoped>
.row {
  grid-template-columns: minmax(0, 15rem) 4rem minmax(0, 1fr) 4.2rem var(--verdict-width, 4.8rem);
  grid-template-areas: 'what cost beam spared verdict';
  min-height: 2rem;
}
.what {
  grid-area: what;
}
.cost {
  grid-area: cost;
}
.spared {
  grid-area: spared;
}
.verdict {
  grid-area: verdict;
}
@media (max-width: 47.99rem) {
  .row {
    grid-template-columns: 3.6rem minmax(0, 1fr) 4rem;
    grid-template-areas:
      'what what verdict'
      'cost beam spared';
    row-gap: 0.15rem;
  }
  .cost {
    text-align: left;
  }
  .row {
    padding-block: 0.5rem;
  }
}
.beam {
  grid-area: beam;
}
</style>
