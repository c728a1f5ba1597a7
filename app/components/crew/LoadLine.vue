<script setup lang="ts">
import { amountInWords } from '#wording'
import { computed } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** The kit as a share of all that is taken along. */
const store = useTripStore()
const kit = useKitStore()
const { grams, system } = useView()

const loads = computed(() => store.openTrip.crew.map(({ loadG }) => loadG))
const weighed = computed(() => loads.value.filter((loadG) => loadG !== null))
const loadG = computed(() => weighed.value.reduce((sum, each) => sum + each, 0))
const kitG = computed(() => kit.chosen?.kit?.massG)
</script>

<template>
  <p class="text-sm text-soft">
    <template v-if="loadG > 0 && kitG !== undefined">
      The kit is <strong class="figures text-ink">{{ grams(kitG) }}</strong> of
      <strong class="figures text-ink">{{ grams(loadG) }}</strong>{{
        weighed.length < loads.length ? ' that were weighed' : ''
      }}: <strong class="figures text-ink">{{ amountInWords(kitG / loadG, 'share', system) }}</strong> of the load. The
      habit is about a tenth (common practice, no source).
    </template>
    <template v-else>Say what riders take along in all, and the kit is shown as a share of it.</template>
  </p>
</template>
