<script setup lang="ts">
import { useTripStore } from '../../stores/trip'
import BaseDialog from '../common/BaseDialog.vue'

/** Asks before a trip is left of which something is supposed: that is kept nowhere. */
const store = useTripStore()
const emit = defineEmits<{ keep: []; letGo: []; stay: [] }>()
</script>

<template>
  <BaseDialog open title="Only supposed" @close="emit('stay')">
    <p v-if="store.notTheirs.length">
      What you supposed of this trip is saved nowhere, and is not yours alone to keep. Let it go?
    </p>
    <p v-else>What you supposed of this trip is saved nowhere. Keep it as the plan, or let it go?</p>
    <div class="mt-4 flex flex-wrap justify-end gap-2">
      <button type="button" class="button" @click="emit('letGo')">Let it go</button>
      <button v-if="!store.notTheirs.length" type="button" class="button" @click="emit('keep')">Keep it</button>
      <button type="button" class="button button-main" @click="emit('stay')">Stay here</button>
    </div>
  </BaseDialog>
</template>
