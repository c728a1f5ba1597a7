<script setup lang="ts">
import { catalogue } from '#catalogue'
import { entryInWords } from '#wording'
import { useTimeoutFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'

/** What was written last, to be taken back with one touch; for a while. */
const store = useTripStore()
const trail = useTrail()
const { takeBack } = useTrailEdits()
const shownMs = 60_000
const { start, stop } = useTimeoutFn(() => (trail.written = undefined), shownMs, { immediate: false })
watch(
  () => trail.written,
  (written) => (written ? start() : stop()),
  { immediate: true },
)
const words = computed(() => trail.written && entryInWords(trail.written.entry, store.openTrip, catalogue))
</script>

<template>
  <div role="status">
    <div v-if="words" class="flex items-center gap-3 rounded bg-petrol-wash px-3 text-base text-ink">
      <p class="line-clamp-2 min-w-0 flex-1 py-1 first-letter:uppercase">{{ words }}</p>
      <button type="button" class="min-h-11 min-w-14 shrink-0 font-semibold underline" @click="takeBack">Undo</button>
    </div>
  </div>
</template>
