<script setup lang="ts">
import { catalogue } from '#catalogue'
import { comings } from '#core/log'
import { comingWords } from '#wording'
import { computed, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import type { Here } from '../../workers/trail-guide'

/** What came along on the way: more of what was with riders, or anything that the catalogue knows. */
defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const store = useTripStore()
const trail = useTrail()
const { put } = useTrailEdits()

interface Kind {
  readonly thing: string | null
  readonly item: string | null
  readonly name: string
}
const sought = ref('')
const mostShown = 30
/** What was to be bought stands first, then what lies on the bench, then all that there is. */
const kinds = computed(() => {
  const { bench } = store.openTrip
  const wanted = new Set(trail.outlook?.restock.flatMap(({ purchases }) => purchases.map(({ thing }) => thing)))
  const own = [...bench.filter(({ id }) => wanted.has(id)), ...bench.filter(({ id }) => !wanted.has(id))].map(
    ({ id, name, from }): Kind => ({ thing: id, item: from, name }),
  )
  const others = catalogue.items
    .filter(({ id }) => !bench.some(({ from }) => from === id))
    .map(({ id, name }): Kind => ({ thing: null, item: id, name }))
  const words = sought.value.trim().toLowerCase()
  const all = [...own, ...(words === '' ? [] : others)]
  return all.filter(({ name }) => name.toLowerCase().includes(words)).slice(0, mostShown)
})
const picked = ref<Kind>()
const count = ref(1)
const mostAtOnce = 20
/** Where riders are at a stop, it was there. */
const stop = computed(() => {
  const near = store.openTrip.stops.filter(({ roadKm }) => Math.abs(roadKm - trail.roadKm) < 1)
  return near[0]?.id ?? null
})
function write(how: (typeof comings)[number]) {
  if (!picked.value) return
  put({ kind: 'got', how, ...picked.value, count: count.value, stop: stop.value })
  emit('done')
}
</script>

<template>
  <div>
    <template v-if="picked">
      <p class="text-base font-semibold">{{ picked.name }}</p>
      <div class="mt-2 flex items-center gap-2">
        <button type="button" class="trail-key w-16" aria-label="Fewer" :disabled="count <= 1" @click="count--">
          −
        </button>
        <output class="figures flex-1 text-center text-2xl font-bold">{{ count }}</output>
        <button type="button" class="trail-key w-16" aria-label="More" :disabled="count >= mostAtOnce" @click="count++">
          +
        </button>
      </div>
      <div class="mt-3 grid grid-cols-2 gap-2">
        <button v-for="how in comings" :key="how" type="button" class="trail-key" @click="write(how)">
          {{ comingWords[how] }}
        </button>
      </div>
      <button type="button" class="trail-key mt-3 w-full" @click="picked = undefined">Something else</button>
    </template>
    <template v-else>
      <label class="block text-base text-soft"
        >Find it
        <input v-model="sought" type="search" class="field mt-1 min-h-12! text-ink" autocomplete="off" />
      </label>
      <ul class="mt-2 space-y-2">
        <li v-for="kind in kinds" :key="`${kind.thing} ${kind.item}`">
          <button type="button" class="trail-key w-full justify-start! text-left!" @click="picked = kind">
            {{ kind.name }}
          </button>
        </li>
        <li v-if="kinds.length === 0" class="text-base">
          Nothing of that name in the catalogue. Write it as a note: it is told again when you look back.
        </li>
      </ul>
    </template>
  </div>
</template>
