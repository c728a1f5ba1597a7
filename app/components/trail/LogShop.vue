<script setup lang="ts">
import { catalogue } from '#catalogue'
import { findingsOfShop } from '#core/log'
import { computed, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import type { Here } from '../../workers/trail-guide'

/** A shop as it was found: the plan of the next ride is the wiser for it. */
defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const store = useTripStore()
const trail = useTrail()
const { put } = useTrailEdits()

/** So many stops about where one is are shown. */
const mostStops = 3
const stops = computed(() =>
  store.openTrip.stops
    .filter(({ services }) => services.length > 0)
    .sort((a, b) => Math.abs(a.roadKm - trail.roadKm) - Math.abs(b.roadKm - trail.roadKm))
    .slice(0, mostStops),
)
const picked = ref<{ stop: string; service: string; words: string }>()
const kindName = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind
function write(found: (typeof findingsOfShop)[number]) {
  if (!picked.value) return
  const { stop, service } = picked.value
  put({ kind: 'shop', stop, service, found })
  emit('done')
}
</script>

<template>
  <div>
    <template v-if="picked">
      <p class="text-base font-semibold">{{ picked.words }}</p>
      <div class="mt-3 grid grid-cols-3 gap-2">
        <button v-for="found in findingsOfShop" :key="found" type="button" class="trail-key" @click="write(found)">
          {{ found }}
        </button>
      </div>
      <button type="button" class="trail-key mt-3 w-full" @click="picked = undefined">Another</button>
    </template>
    <template v-else>
      <section v-for="stop in stops" :key="stop.id" class="mb-4" :aria-label="stop.name">
        <h2 class="mb-1 text-base">{{ stop.name }}</h2>
        <div class="grid grid-cols-2 gap-2">
          <button
            v-for="service in stop.services"
            :key="service.kind"
            type="button"
            class="trail-key"
            @click="picked = { stop: stop.id, service: service.kind, words: `${stop.name}: ${kindName(service.kind)}` }"
          >
            {{ kindName(service.kind) }}
          </button>
        </div>
      </section>
      <p v-if="stops.length === 0" class="text-base text-soft">No stop with a shop is on this road.</p>
    </template>
  </div>
</template>
