<script setup lang="ts">
import { glossary, type Term } from '#wording'
import { TooltipContent, TooltipPortal, TooltipProvider, TooltipRoot, TooltipTrigger } from 'reka-ui'
import { ref } from 'vue'

/** A word that must be learned, with what it means where it stands: under a pointer, the keyboard or a finger. */
defineProps<{ term: Term }>()
const open = ref(false)
</script>

<template>
  <TooltipProvider :delay-duration="300">
    <TooltipRoot v-model:open="open" disable-closing-trigger>
      <TooltipTrigger
        type="button"
        class="cursor-help text-left text-inherit [font:inherit] underline decoration-dotted decoration-1 underline-offset-3"
        @click="open = true"
        ><slot>{{ term }}</slot></TooltipTrigger
      >
      <TooltipPortal>
        <TooltipContent
          class="card z-60 max-w-72 border-ink px-3 py-2 text-sm font-normal text-ink shadow-lg"
          :side-offset="5"
          :collision-padding="10"
          >{{ glossary[term] }}</TooltipContent
        >
      </TooltipPortal>
    </TooltipRoot>
  </TooltipProvider>
</template>
