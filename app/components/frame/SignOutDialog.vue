<script setup lang="ts">
import { navigateTo } from '#imports'
import { onMounted, ref, shallowRef } from 'vue'
import { api, linesOf } from '../../http/api'
import { useShed } from '../../stores/shed'
import { useTripSessions, wipeDevice } from '../../stores/trip-sessions'
import type { Waiting } from '../../session/outbox'
import FaultLines from '../common/FaultLines.vue'
import BaseDialog from '../common/BaseDialog.vue'

/** Signs out, here or on all devices, once everything is on the server; what cannot be brought there is asked about. */
const { everywhere } = defineProps<{ everywhere?: boolean }>()
const emit = defineEmits<{ close: [] }>()
const waiting = shallowRef<readonly Waiting[]>()
/** Things of the shed that could not be brought. */
const ofShed = ref(0)
const lines = ref<string[]>([])

async function bring() {
  waiting.value = undefined
  lines.value = []
  try {
    const left = await (await useTripSessions()).flush()
    ofShed.value = await useShed().flush()
    if (left.length === 0 && ofShed.value === 0) await signOut()
    else waiting.value = left
  } catch (error) {
    lines.value = linesOf(error)
  }
}
async function signOut() {
  lines.value = []
  try {
    await api(everywhere ? '/api/sessions' : '/api/session', { method: 'DELETE' })
    await wipeDevice()
    await navigateTo('/')
  } catch (error) {
    lines.value = ['You are not signed out.', ...linesOf(error)]
  }
}
onMounted(bring)
</script>

<template>
  <BaseDialog open :title="everywhere ? 'Sign out everywhere' : 'Sign out'" @close="emit('close')">
    <p v-if="!waiting && !lines.length" role="status" class="text-soft">Bringing everything to the server …</p>
    <template v-if="waiting">
      <p>
        Signing out removes your trips and your shed from this device, and these have changes that could not be brought
        to the server:
      </p>
      <ul class="mt-2 list-disc pl-5">
        <li v-for="trip in waiting" :key="trip.trip" class="break-words">
          <strong>{{ trip.name || 'A trip' }}</strong>, {{ trip.steps === 1 ? 'one change' : `${trip.steps} changes` }}
        </li>
        <li v-if="ofShed"><strong>The shed</strong>, {{ ofShed === 1 ? 'one thing' : `${ofShed} things` }}</li>
      </ul>
      <div class="mt-4 flex flex-col gap-2">
        <button type="button" class="button button-main" @click="emit('close')">Stay signed in</button>
        <button type="button" class="button" @click="bring">Try once more</button>
        <button type="button" class="button" @click="signOut">Sign out and lose these changes</button>
      </div>
    </template>
    <FaultLines class="mt-3" :lines="lines" />
  </BaseDialog>
</template>
