<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { inOrder } from '~~/core/trip'

/** Stops in the order one meets them; what each offers is set with a click. */
const store = useTripStore()
const stops = computed(() => inOrder(store.trip!.stops))
const opened = ref('')
const wide = useMediaQuery('(min-width: 768px)')
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Stops">
    <template v-if="stops.length">
      <StopTable v-if="wide" v-model:opened="opened" :stops="stops" />
      <StopCards v-else v-model:opened="opened" :stops="stops" />
    </template>
    <div v-else class="max-w-xl p-6">
      <h2 class="text-lg">No stops yet</h2>
      <p class="mt-1 text-soft">
        Click on the strip above where help is, then press “Stop at …”. Between two stops that stock a part lies a gap;
        the kit is made for the gaps.
      </p>
    </div>
  </div>
</template>
