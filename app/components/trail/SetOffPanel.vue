<script setup lang="ts">
import { ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTrail } from '../../stores/trail'
import FaultLines from '../common/FaultLines.vue'

/** Setting off: from then on what is in the bags is known, whatever the plan says. */
const trail = useTrail()
const { setOff, mayWrite } = useTrailEdits()
const { see } = useTrailSight()
const isBusy = ref(false)
const lines = ref<string[]>([])

async function begin() {
  isBusy.value = true
  lines.value = []
  try {
    setOff(await trail.setOffWith())
  } catch (error) {
    lines.value = [error instanceof Error ? error.message : String(error)]
  }
  isBusy.value = false
}
</script>

<template>
  <section class="rounded border-[1.5px] border-petrol bg-petrol-wash px-3 py-3" aria-labelledby="set-off-title">
    <h2 id="set-off-title" class="text-base">You have not set off yet</h2>
    <p class="text-base">
      All here goes by the plan. Set off, and what is in whose bags is kept, and goes down as it is used.
    </p>
    <button type="button" class="trail-key trail-key-main mt-2 w-full" :disabled="isBusy || !mayWrite" @click="begin">
      {{ isBusy ? 'Packing …' : 'Set off with the kit as planned' }}
    </button>
    <button type="button" class="trail-key mt-2 w-full" @click="see('rehearsal')">Rehearse it at home first</button>
    <p v-if="!mayWrite" class="mt-1 text-base">You read this plan: whoever rides sets off.</p>
    <FaultLines v-if="lines.length" class="mt-2" :lines="lines" />
  </section>
</template>
