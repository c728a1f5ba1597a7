<script setup lang="ts">
import type { Bike } from '#core/bike'
import { wheelWarnings, type WheelWarning } from '#core/spares'
import { pressureLimitWords, amountInWords } from '#wording'
import { computed } from 'vue'
import { useView } from '../../stores/view'

/** What speaks against riding the wheels as the passport has them. */
const props = defineProps<{ bike: Bike; wheels: readonly ('front' | 'rear')[] }>()
const { system } = useView()

const bar = (value: number) => amountInWords(value, 'pressure', system.value)
const mm = (value: number) => amountInWords(value, 'length', system.value)

function words(doubt: WheelWarning): string {
  switch (doubt.about) {
    case 'pressure':
      return `${bar(doubt.rideBar)} is more than ${bar(doubt.limit.bar)}: ${pressureLimitWords[doubt.limit.setBy]}. The tyre may come off.`
    case 'spokes':
      return `the ${doubt.side} spokes measure ${mm(doubt.measuredMm)}, and rim and hub make them ${mm(doubt.calculatedMm)}: one of the measures is wrong.`
    case 'valve':
      return `a valve of ${mm(doubt.stemMm)} in a rim ${mm(doubt.depthMm)} deep: ${doubt.pumps === 'few' ? 'few pumps hold' : 'no pump holds'} on.`
  }
}
const found = computed(() =>
  props.wheels.flatMap((wheel) => wheelWarnings(props.bike, wheel).map((doubt) => ({ wheel, words: words(doubt) }))),
)
</script>

<template>
  <ul
    v-if="found.length"
    class="mx-4 my-2 border-l-4 border-lacking pl-2 text-sm"
    aria-label="Look at this before riding"
  >
    <li v-for="doubt in found" :key="`${doubt.wheel} ${doubt.words}`">
      <span class="inline-block font-bold first-letter:uppercase">{{ doubt.wheel }} wheel:</span> {{ doubt.words }}
    </li>
  </ul>
</template>
