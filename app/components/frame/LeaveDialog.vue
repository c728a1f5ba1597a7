<script setup lang="ts">
import { computed } from 'vue'
import { useTripStore } from '../../stores/trip'
import BaseDialog from '../common/BaseDialog.vue'

/** Asks before a trip is left whose changes cannot be brought to the server as they are. */
const emit = defineEmits<{ leave: []; stay: [] }>()
const store = useTripStore()
const why = computed(() => {
  if (store.state.kind === 'refused') return 'The server refuses them as they are.'
  if (store.state.kind === 'conflict')
    return 'The same was changed on another device, and somebody must say which holds.'
  return 'This trip is not there for you any more.'
})
</script>

<template>
  <BaseDialog open title="Not saved" @close="emit('stay')">
    <p>
      {{ store.unsaved === 1 ? 'One change' : `${store.unsaved} changes` }} of “{{ store.trip?.name }}” could not be
      brought to the server. {{ why }} They stay on this device until you come back.
    </p>
    <div class="mt-4 flex justify-end gap-2">
      <button type="button" class="button" @click="emit('leave')">Leave all the same</button>
      <button type="button" class="button button-main" @click="emit('stay')">Stay here</button>
    </div>
  </BaseDialog>
</template>
