<script setup lang="ts">
import { comfortableShare } from '#core/fit'
import { amountInWords } from '#wording'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import { useTripStore } from '../../stores/trip'
import MeasureField from './MeasureField.vue'

/** The most a hand of this crew gives: which bolts come loose with which lever hangs on it. */
const store = useTripStore()
const { system } = useView()
const dials = computed(() => store.openTrip.dials)
const easy = computed(() => amountInWords(comfortableShare * dials.value.handMostN, 'force', system.value))

function put(handMostN: number | null) {
  if (handMostN !== null) store.edit('set the strength of a hand', { dials: { ...dials.value, handMostN } })
}
</script>

<template>
  <div>
    <MeasureField
      label="A hand pulls at most"
      :model-value="dials.handMostN"
      amount="force"
      :least="50"
      :most="1500"
      @update:model-value="put"
    />
    <p class="mt-0.5 text-right text-xs text-soft">{{ easy }} with ease</p>
  </div>
</template>
