<script setup lang="ts">
import { linesOf } from '~/composables/useApi'

/** Two windows changed the same part: nothing is overwritten until somebody says which way to go on. */
const store = useTripStore()
const lines = ref<string[]>([])
const busy = ref(false)
const parts = computed(() => store.conflict?.parts ?? [])

async function go(way: () => Promise<unknown>) {
  busy.value = true
  lines.value = []
  try {
    await way()
  } catch (error) {
    lines.value = linesOf(error)
  } finally {
    busy.value = false
  }
}
async function keepBoth() {
  const id = await store.keepBoth()
  await store.takeTheirs()
  await navigateTo(`/trips/${id}/weigh`)
}
</script>

<template>
  <TinDialog open must-answer title="Changed in two windows">
    <p>
      Another window saved the <strong>{{ parts.map(({ part }) => part).join(' and the ') }}</strong> of this trip at
      {{ new Date(parts[0]?.savedAt ?? 0).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' }) }}, while you
      changed it here. Nothing has been overwritten.
    </p>
    <div class="mt-4 flex flex-col gap-2">
      <button type="button" class="knob knob-main justify-start" :disabled="busy" @click="go(store.takeTheirs)">
        Take theirs; mine comes back with undo
      </button>
      <button type="button" class="knob justify-start" :disabled="busy" @click="go(store.keepMine)">
        Keep mine, over theirs
      </button>
      <button type="button" class="knob justify-start" :disabled="busy" @click="go(keepBoth)">
        Keep both: mine as a new trip
      </button>
    </div>
    <FaultLines class="mt-3" :lines="lines" />
  </TinDialog>
</template>
