<script setup lang="ts">
import { ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import type { Here } from '../../workers/trail-guide'

/** A note in one's own words. */
defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const { put } = useTrailEdits()
const text = ref('')
function write() {
  const note = text.value.trim()
  if (note === '') return
  put({ kind: 'note', note })
  emit('done')
}
</script>

<template>
  <form class="space-y-3" @submit.prevent="write">
    <label class="block text-base text-soft"
      >What to remember
      <textarea v-model="text" rows="5" maxlength="1000" class="field mt-1 text-ink" />
    </label>
    <button type="submit" class="trail-key trail-key-main w-full" :disabled="text.trim() === ''">Write it down</button>
  </form>
</template>
