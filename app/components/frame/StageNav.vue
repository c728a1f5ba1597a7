<script setup lang="ts">
import { NuxtLink } from '#components'
import { useRoute } from '#imports'
import { computed } from 'vue'
import { stages, useStageNeeds } from '../../composables/useStages'

const route = useRoute()
const needs = useStageNeeds()
/** The papers belong to being ready. */
const here = computed(() => {
  const page = route.path.split('/').at(-1)
  return page === 'papers' ? 'ready' : page
})
</script>

<template>
  <nav
    aria-label="Stages"
    class="grid shrink-0 grid-cols-5 border-line bg-well max-md:order-last max-md:border-t min-[28rem]:max-md:grid-cols-10 md:flex md:w-32 md:flex-col md:border-r md:pt-3"
  >
    <NuxtLink
      v-for="(stage, i) in stages"
      :key="stage.id"
      :to="`/trips/${route.params.id}/${stage.id}`"
      class="group relative flex flex-col justify-center max-md:min-h-11 max-md:items-center max-md:px-0.5 max-md:text-center max-md:text-[0.82rem] max-md:leading-tight md:px-4 md:py-2.5"
      :class="here === stage.id ? 'bg-paper font-bold' : 'hover:bg-paper/60'"
      :aria-current="here === stage.id ? 'page' : undefined"
    >
      <span
        v-if="here === stage.id"
        aria-hidden="true"
        class="absolute bg-petrol max-md:inset-x-0 max-md:top-0 max-md:h-1 md:inset-y-0 md:left-0 md:w-1"
      />
      <span class="flex items-baseline gap-2">
        <span class="figures text-xs text-soft max-md:hidden" aria-hidden="true">{{ i + 1 }}</span>
        {{ stage.name }}
      </span>
      <template v-if="needs[stage.id]">
        <!-- On a phone there is no room for the words of all stages: a mark stands for them, and they are read out. -->
        <span aria-hidden="true" class="mt-0.5 h-1 w-4 rounded-full bg-brass md:hidden" />
        <span class="whitespace-nowrap text-xs font-semibold text-brass max-md:sr-only md:pl-5">{{
          needs[stage.id]
        }}</span>
      </template>
    </NuxtLink>
  </nav>
</template>
