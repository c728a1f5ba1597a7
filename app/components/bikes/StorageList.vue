<script setup lang="ts">
import { NuxtLink } from '#components'
import type { Bike } from '#core/bike'
import { amountInWords } from '#wording'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** The bags, tins and hollows of a bike at a glance; they are hung on and changed where one packs. */
defineProps<{ bike: Bike }>()
const store = useTripStore()
const { system } = useView()
</script>

<template>
  <section class="px-4 py-2" aria-label="Bags and hollows">
    <h3 class="text-base">Bags and hollows</h3>
    <ul class="mt-1 text-sm">
      <li
        v-for="bag in bike.storage"
        :key="bag.id"
        class="flex flex-wrap justify-between gap-x-3 border-b border-line/60 py-1 last:border-b-0"
      >
        <span class="min-w-0 [overflow-wrap:anywhere]"
          >{{ bag.name }} <span class="text-soft">{{ bag.place }}</span></span
        >
        <span class="figures text-soft"
          >{{ amountInWords(bag.volumeMl, 'volume', system) }}, things up to
          {{ amountInWords(bag.longestMm, 'length', system) }}</span
        >
      </li>
    </ul>
    <p class="mt-1 text-sm text-soft">
      <template v-if="!bike.storage.length">None known; spokes then go into the seat tube or along it. </template>
      <NuxtLink :to="`/trips/${store.id}/pack`" class="underline">Hang bags on, and change them</NuxtLink>
    </p>
  </section>
</template>
