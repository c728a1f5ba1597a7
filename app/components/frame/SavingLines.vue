<script setup lang="ts">
import { NuxtLink } from '#components'
import { navigateTo, useRoute } from '#imports'
import { computed, ref, watch } from 'vue'
import { linesOf } from '../../http/api'
import { usePerson } from '../../stores/person'
import { useTripSessions } from '../../stores/trip-sessions'
import { partsInWords } from '../../session/words'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'

/** What stands between the trip and the server, and what can be done about it; nothing while all goes well. */
const store = useTripStore()
const { ask } = usePerson()
const route = useRoute()
const busy = ref(false)
const lines = ref<string[]>([])
const state = computed(() => store.state)
watch(state, ({ kind }) => {
  if (kind === 'signed out') void ask()
})
const door = computed(() => ({ path: '/', query: { next: route.fullPath } }))

async function again() {
  busy.value = true
  try {
    await store.tryAgain()
  } finally {
    busy.value = false
  }
}
async function asNew() {
  busy.value = true
  lines.value = []
  try {
    const gone = store.id
    const id = await store.keepAsCopy()
    await navigateTo(`/trips/${id}/weigh`)
    await (await useTripSessions()).forget(gone)
  } catch (error) {
    lines.value = linesOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <!-- Over the page and not in it: what comes and goes by itself must not push anything away from under a finger. -->
  <div
    class="pointer-events-none absolute inset-x-0 bottom-0 z-30 mx-auto flex max-w-3xl flex-col gap-2 p-2 empty:hidden [&>*]:pointer-events-auto"
  >
    <p v-if="store.takenIn.length" role="status" class="saving-line">
      <span class="min-w-0 grow basis-64">
        {{ store.access.people > 1 ? 'Changed by others, or on another device,' : 'Changed on another device' }} and
        taken in here: {{ partsInWords(store.takenIn) }}.
      </span>
      <button type="button" class="button" @click="store.dismiss()">Close</button>
    </p>
    <p v-if="store.notice" role="status" class="saving-line">
      <span class="min-w-0 grow basis-64">{{ store.notice }}</span>
      <button type="button" class="button" @click="store.dismiss()">Close</button>
    </p>
    <div v-if="state.kind === 'refused'" class="saving-line border-madder!">
      <FaultLines
        class="min-w-0 grow basis-64"
        title="Not saved: the server refuses this as it is. Your changes are kept on this device."
        :lines="state.lines"
      />
      <button type="button" class="button" @click="store.backToSaved()">Go back to what is saved</button>
      <button type="button" class="button" :disabled="busy" @click="again">Try again</button>
    </div>
    <div v-else-if="state.kind === 'offline'" role="status" class="saving-line">
      <p class="min-w-0 grow basis-64">
        The server does not answer. Your changes are kept on this device and brought there once it does.
      </p>
      <button type="button" class="button" :disabled="busy" @click="again">Try now</button>
    </div>
    <div v-else-if="state.kind === 'signed out'" role="status" class="saving-line">
      <p class="min-w-0 grow basis-64">
        Your sign-in has ended. You can go on reading and changing this trip on this device; nothing is saved on the
        server until you sign in again.
      </p>
      <NuxtLink :to="door" class="button">Sign in again</NuxtLink>
    </div>
    <div v-else-if="state.kind === 'gone'" role="alert" class="saving-line">
      <p class="min-w-0 grow basis-64">
        This trip is not there for you any more: it was thrown away, or is shared with you no longer. What you see is
        this device’s copy.
      </p>
      <button type="button" class="button" :disabled="busy" @click="asNew">Keep it as a new trip</button>
    </div>
    <FaultLines v-if="lines.length" :lines="lines" />
  </div>
</template>

<style scoped>
@reference '~/assets/tin.css';
.saving-line {
  @apply flex flex-wrap items-center gap-x-3 gap-y-2 rounded border border-line bg-well px-3 py-2 text-sm shadow-lg;
}
</style>
