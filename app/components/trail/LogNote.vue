<script setup lang="ts">
import { Camera } from '@lucide/vue'
import { ref, useTemplateRef } from 'vue'
import { usePhotos } from '../../composables/usePhotos'
import { useTrailEdits } from '../../composables/useTrailEdits'
import type { Here } from '../../workers/trail-guide'

/** A note in one's own words, and a photo, which stays on this device. */
defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const { put } = useTrailEdits()
const { add, fault } = usePhotos()
const text = ref('')
const photo = ref<File>()
const input = useTemplateRef<HTMLInputElement>('input')
const picked = () => (photo.value = input.value?.files?.[0])
async function write() {
  const note = text.value.trim()
  if (note === '' && !photo.value) return
  const entry = put({ kind: 'note', note: note || 'a photo' })
  if (!photo.value || (await add(entry.id, photo.value))) emit('done')
}
</script>

<template>
  <form class="space-y-3" @submit.prevent="write">
    <label class="block text-base text-soft"
      >What to remember
      <textarea v-model="text" rows="5" maxlength="1000" class="field mt-1 text-ink" />
    </label>
    <button type="button" class="trail-key w-full" @click="input?.click()">
      <Camera :size="20" aria-hidden="true" />{{ photo ? photo.name : 'A photo' }}
    </button>
    <input
      ref="input"
      type="file"
      accept="image/*"
      class="sr-only"
      aria-label="A photo"
      tabindex="-1"
      @change="picked"
    />
    <p class="text-base text-soft">A photo stays on this device and is sent nowhere; it goes when you sign out.</p>
    <p v-if="fault" role="alert" class="text-base text-madder">{{ fault }}</p>
    <button type="submit" class="trail-key trail-key-main w-full" :disabled="text.trim() === '' && !photo">
      Write it down
    </button>
  </form>
</template>
