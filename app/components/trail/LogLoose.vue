<script setup lang="ts">
import { computed } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTripStore } from '../../stores/trip'
import type { Here } from '../../workers/trail-guide'

/** A bolt that was found loose: one touch. Those that came loose before stand first. */
const props = defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const store = useTripStore()
const { put, me } = useTrailEdits()

const bikes = computed(() => {
  const mine = store.openTrip.crew.find(({ id }) => id === me.value)?.bikeId
  const there = store.openTrip.bikes.filter(({ id }) => props.here.bikes.some((bike) => bike.id === id))
  return [...there.filter(({ id }) => id === mine), ...there.filter(({ id }) => id !== mine)].map((bike) => {
    const before = new Set(
      store.openTrip.log.flatMap((entry) =>
        entry.kind === 'loose' && entry.bikeId === bike.id ? [entry.fastener] : [],
      ),
    )
    const { fasteners } = bike
    return {
      bike,
      fasteners: [...fasteners.filter(({ id }) => before.has(id)), ...fasteners.filter(({ id }) => !before.has(id))],
    }
  })
})
function write(bikeId: string, fastener: string | null, name: string) {
  put({ kind: 'loose', bikeId, fastener, name })
  emit('done')
}
</script>

<template>
  <div>
    <section v-for="{ bike, fasteners } in bikes" :key="bike.id" class="mb-4" :aria-label="bike.name">
      <h2 v-if="bikes.length > 1" class="mb-1 text-base">{{ bike.name }}</h2>
      <ul class="space-y-2">
        <li v-for="bolt in fasteners" :key="bolt.id">
          <button
            type="button"
            class="trail-key w-full justify-start! text-left!"
            @click="write(bike.id, bolt.id, bolt.name)"
          >
            {{ bolt.name }}
          </button>
        </li>
        <li>
          <button type="button" class="trail-key w-full" @click="write(bike.id, null, 'another bolt')">
            Another bolt
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>
