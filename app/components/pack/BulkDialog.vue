<script setup lang="ts">
import { thingSchema, type Thing } from '#core/bench'
import { useDraft } from '../../composables/useDraft'
import { useTripStore } from '../../stores/trip'
import BulkFields from '../bench/BulkFields.vue'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'

/** What a thing takes up, measured or guessed better. */
const props = defineProps<{ thing: Thing }>()
const emit = defineEmits<{ close: [] }>()
const store = useTripStore()
const { draft, lines, keep } = useDraft(thingSchema, props.thing)
function put({ volumeMl, longestMm, handling }: Thing): string[] {
  const bench = store.openTrip.bench.map((other) =>
    other.id === props.thing.id ? { ...other, volumeMl, longestMm, handling } : other,
  )
  store.edit(`measure ${props.thing.name}`, { bench })
  return []
}
async function submit(event: Event) {
  if (await keep(event, put)) emit('close')
}
</script>

<template>
  <BaseDialog open :title="thing.name" @close="$emit('close')">
    <form class="space-y-3" novalidate @submit.prevent="submit">
      <BulkFields :thing="draft" @change="Object.assign(draft, $event)" />
      <FaultLines :lines="lines" />
      <div class="flex justify-end gap-2">
        <button type="button" class="button" @click="$emit('close')">Leave it as it was</button>
        <button type="submit" class="button button-main">Keep</button>
      </div>
    </form>
  </BaseDialog>
</template>
