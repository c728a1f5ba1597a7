<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'

/**
 * The door's two halves: what this is, and what is to be done here. Where there is room for one half only, what is weighed
 * comes last; before the account where `inviting`. Brief: whoever is here knows what this is.
 */
defineProps<{ brief?: boolean; inviting?: boolean }>()
const wide = useMediaQuery('(min-width: 64rem)')
</script>

<template>
  <main class="grid min-h-full lg:grid-cols-[1.15fr_1fr]" :class="{ 'max-lg:content-start': brief }">
    <section class="flex flex-col justify-between gap-10 bg-tin p-8 text-tin-ink sm:p-12">
      <p class="flex items-center gap-3 text-xl font-bold [font-stretch:115%]">
        <img src="/tin.svg" alt="" class="size-9" />Rag Tin
      </p>
      <div class="max-w-xl" :class="{ 'max-lg:hidden': brief }">
        <h1 class="text-4xl leading-[1.08] text-balance sm:text-5xl">How much walking does it save me, per gram?</h1>
        <p class="mt-5 max-w-md text-base text-tin-ink/85">
          For bicycle tours far from a shop: which repair tools and spares to take, and which to leave. Rag Tin reckons
          what can fail on your road, how long the walk to help would be, and what each thing in the tin spares of it.
        </p>
      </div>
      <slot v-if="wide || brief" name="weighed">
        <svg viewBox="0 0 560 90" class="w-full max-w-2xl" :class="{ 'max-lg:hidden': brief }" aria-hidden="true">
          <path
            d="M0 74 C40 70 60 22 104 30 S150 76 196 72 236 8 304 6 396 70 430 72 476 40 508 44 540 70 560 72V78H0z"
            fill="#7cc2b6"
            opacity=".22"
          />
          <path
            d="M0 74 C40 70 60 22 104 30 S150 76 196 72 236 8 304 6 396 70 430 72 476 40 508 44 540 70 560 72"
            fill="none"
            stroke="#7cc2b6"
            stroke-width="2"
          />
          <path d="M0 78H560" stroke="#f4ecd8" stroke-width="2" />
          <path d="M1 70v16M196 70v16M430 70v16M559 70v16" stroke="#f4ecd8" stroke-width="4" />
          <path d="M304 6V78" stroke="#f39a8b" stroke-width="1.6" />
          <circle cx="304" cy="6" r="4.5" fill="#f39a8b" />
        </svg>
      </slot>
    </section>
    <section class="flex items-center justify-center p-8" aria-label="Begin">
      <div class="w-full max-w-sm">
        <slot />
        <slot v-if="wide || !inviting" name="account" />
      </div>
    </section>
    <section v-if="!wide && !brief" class="bg-tin p-8 text-tin-ink sm:p-12"><slot name="weighed" /></section>
    <section v-if="!wide && inviting" class="flex justify-center p-8" aria-labelledby="door">
      <div class="w-full max-w-sm"><slot name="account" /></div>
    </section>
  </main>
</template>
