<script setup lang="ts">
import { NuxtLink } from '#components'
import { useHead } from '#imports'
import CalculatorsPanel from '../components/calculators/CalculatorsPanel.vue'

/** The calculators by themselves, for whoever comes by: no trip, no account. */
useHead({ title: 'Calculators · Rag Tin' })
</script>

<template>
  <div class="flex h-full flex-col">
    <header class="flex items-center gap-4 bg-tin px-4 py-2 text-tin-ink">
      <NuxtLink to="/" class="font-bold">Rag Tin</NuxtLink>
      <h1 class="text-base font-normal">The back of an envelope</h1>
    </header>
    <main class="min-h-0 flex-1 overflow-y-auto bg-paper">
      <CalculatorsPanel />
    </main>
  </div>
</template>
