<script setup lang="ts">
import { chanceInWords } from '#wording'
import { computed } from 'vue'
import { useKitStore } from '../../stores/kit'
import TermHint from '../common/TermHint.vue'

/** How far from the best the kit can be: proved, being proved, or stopped. */
const kit = useKitStore()
const words = computed(() => {
  const gap = kit.proof.stage === 'done' ? kit.proof.proof.gap : kit.proof.stage === 'running' ? kit.proof.gap : null
  if (gap === null) return '—'
  return gap < 0.001 ? chanceInWords(Math.max(gap, 1e-6)) : `≤ ${chanceInWords(gap)}`
})
</script>

<template>
  <div class="flex flex-col-reverse justify-end">
    <dt class="text-xs text-soft">
      <template v-if="kit.proof.stage === 'done'"
        ><TermHint term="short of the best">short of the best</TermHint> kit at most, proved in
        {{ kit.proof.proof.seconds.toFixed(1) }} s</template
      >
      <template v-else-if="kit.proof.stage === 'running'">
        <TermHint term="short of the best">short of the best</TermHint> kit at most, being proved
        <button type="button" class="underline" @click="kit.stopProof()">stop</button>
      </template>
      <template v-else-if="kit.proof.stage === 'failed'">no proof: {{ kit.proof.message }}</template>
      <template v-else-if="kit.kit">
        not <TermHint term="proof">proved</TermHint>{{ ' ' }}
        <button type="button" class="underline" @click="kit.startProof()">prove it</button>
      </template>
      <template v-else>no kit yet</template>
    </dt>
    <dd class="figures text-lg font-semibold">
      {{ words }}
    </dd>
  </div>
</template>
