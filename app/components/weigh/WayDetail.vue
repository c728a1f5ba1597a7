<script setup lang="ts">
import { catalogue } from '#catalogue'
import { errandValues, jobValues } from '#core/reference'
import type { Price, Way } from '#core/ways'
import { hoursInWords, priceInWords } from '#wording'
import { computed } from 'vue'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import PlanningField from './PlanningField.vue'

/** What the worth and the price of a way are made of; the planning values of it can be changed. */
const props = defineProps<{ way: Way; price: Price }>()
const store = useTripStore()
const { grams } = useView()

const dials = computed(() => store.openTrip.dials)
const job = computed(() => {
  const { deed } = props.way
  return deed.kind === 'job' ? catalogue.jobs.find(({ id }) => id === deed.jobId) : undefined
})
const values = computed(() => {
  switch (props.way.deed.kind) {
    case 'job':
      return job.value ? jobValues(job.value) : []
    case 'practice':
      return errandValues(catalogue, 'practice')
    case 'parcel':
      return errandValues(catalogue, 'parcel')
    case 'ask':
    case 'borrow':
      return errandValues(catalogue, 'ask')
    default:
      return []
  }
})
/** Less than a gram is none. */
const leastG = 1
const worth = computed(() => {
  const { deed, savedH, anew } = props.way
  if (deed.kind === 'ask')
    return `Whichever way they answer, the best kit after it is ${hoursInWords(Math.max(0, anew?.gainH ?? 0))} better in the mean, its grams in hours.`
  const spared =
    savedH >= 0
      ? `With the kit as it is it spares ${hoursInWords(savedH)}: the difference of two promises.`
      : `With the kit as it is ${hoursInWords(-savedH)} more would be lost: the difference of two promises.`
  const lighterG = anew?.lighterG ?? 0
  if (!anew || Math.abs(lighterG) < leastG) return spared
  const stays = lighterG > 0 ? `lets ${grams(lighterG)} stay at home` : `takes ${grams(-lighterG)} more along`
  return `${spared} A kit that is chosen anew for it ${stays}: ${hoursInWords(Math.max(0, anew.gainH))} in all.`
})
const priceWords = computed(() => priceInWords(props.price, dials.value.currency))
const labelOf = (kind: string) => (kind === 'price' ? 'It costs' : 'It takes')
</script>

<template>
  <div class="space-y-2 px-4 pb-3 text-sm">
    <p class="max-w-prose">{{ worth }}</p>
    <p v-if="way.deed.kind === 'buy'" class="max-w-prose text-soft">What it costs is counted with the kit.</p>
    <p v-else class="max-w-prose text-soft">
      Its price is {{ priceWords
      }}<template v-if="price.hours > 0">, as much as {{ hoursInWords(price.hours) }} on the road to you</template
      >.<template v-if="price.share < 1">
        What is replaced early costs what it had left; the rest would be due one day anyway.</template
      >
    </p>
    <p v-if="job?.caution" class="max-w-prose text-madder">{{ job.caution }}</p>
    <div v-if="values.length" class="grid max-w-md grid-cols-2 gap-3">
      <PlanningField v-for="value in values" :key="value.key" :value="value" :label="labelOf(value.kind)" />
    </div>
  </div>
</template>
