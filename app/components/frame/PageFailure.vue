<script setup lang="ts">
import { usePageFailure } from '../../stores/page-failure'

/** Says that the page itself failed, over whatever is left of it. */
const failure = usePageFailure()
const loadAgain = () => location.reload()
</script>

<template>
  <div
    v-if="failure"
    role="alert"
    class="fixed inset-x-2 top-2 z-60 mx-auto flex max-w-3xl flex-wrap items-center gap-x-3 gap-y-2 rounded border border-madder bg-madder-wash px-3 py-2 text-sm shadow-lg"
  >
    <p class="min-w-0 grow basis-64 [overflow-wrap:anywhere]">
      <span class="font-semibold text-madder">Something on this page has failed.</span>
      The fault is ours: <span class="text-soft">{{ failure }}</span>
    </p>
    <button type="button" class="button" @click="loadAgain">Load it again</button>
    <button type="button" class="button" @click="failure = ''">Close</button>
  </div>
</template>
