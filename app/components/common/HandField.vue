<script setup lang="ts">
import { easyShare } from '~~/core/fit'
import { amountInWords } from '~~/core/units'

/** The most a hand of this crew gives: which bolts come loose with which lever hangs on it. */
const store = useTripStore()
const { system } = useView()
const dials = computed(() => store.trip!.dials)
const easy = computed(() => amountInWords(easyShare * dials.value.handMostN, 'force', system.value))

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
