<script setup lang="ts">
import { catalogue } from '#catalogue'
import { failureInWords } from '#wording'
import { computed } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import type { Failure, Here } from '../../workers/trail-guide'
import { useTripStore } from '../../stores/trip'

/** A part that wears was made new before it failed: one touch, and its life begins anew. */
const props = defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const store = useTripStore()
const { put } = useTrailEdits()

const wearing = new Set(catalogue.hazards.flatMap(({ kind, id }) => (kind === 'wearing' ? [id] : [])))
const bikes = computed(() =>
  props.here.bikes.map(({ id, symptoms }) => ({
    id,
    name: store.openTrip.bikes.find((bike) => bike.id === id)?.name ?? '',
    parts: [
      ...new Map(
        symptoms
          .flatMap(({ causes }) => causes.map(({ failure }) => failure))
          .filter(({ hazard }) => wearing.has(hazard))
          .map((failure): [string, Failure] => [failure.event, failure]),
      ).values(),
    ],
  })),
)
function write({ bike: bikeId, hazard, wheel }: Failure) {
  put({ kind: 'renewed', bikeId, hazard, wheel })
  emit('done')
}
</script>

<template>
  <div>
    <section v-for="bike in bikes" :key="bike.id" class="mb-4" :aria-label="bike.name">
      <h2 v-if="bikes.length > 1" class="mb-1 text-base">{{ bike.name }}</h2>
      <ul class="space-y-2">
        <li v-for="part in bike.parts" :key="part.event">
          <button type="button" class="trail-key w-full justify-start! text-left!" @click="write(part)">
            <span class="first-letter:uppercase">{{ failureInWords(part, catalogue, store.openTrip.bikes) }}</span>
          </button>
        </li>
      </ul>
    </section>
    <p class="text-base text-soft">What was put right before it failed: pads, chain, tyre, oil.</p>
  </div>
</template>
