<script setup lang="ts">
import { catalogue } from '#catalogue'
import type { Purchase } from '#core/trail'
import { chanceInWords, momentInWords, stockInWords, stopAvailabilityInWords } from '#wording'
import { computed } from 'vue'
import { useTrail } from '../../stores/trail'
import { useView } from '../../stores/view'

/** What to buy at the next stops, and what that makes better. */
const trail = useTrail()
const { km } = useView()
const stops = computed(() => trail.outlook?.restock ?? [])
const kindName = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind
const placeWords = ({ place }: Purchase) => stopAvailabilityInWords(place, kindName)
</script>

<template>
  <section v-if="stops.length" aria-label="To buy">
    <div v-for="stop in stops" :key="stop.stop" class="mb-2 rounded bg-brass-wash px-3 py-2 text-base text-ink">
      <h2 class="text-base [overflow-wrap:anywhere]">
        Buy at {{ stop.name }}, {{ km(Math.max(0, stop.roadKm - trail.roadKm)) }}
      </h2>
      <ul>
        <li v-for="purchase in stop.purchases" :key="purchase.thing + purchase.classId" class="mt-1">
          <strong>{{ stockInWords(purchase.amount, purchase.classId, catalogue.families) }}</strong>
          <template v-if="purchase.isPlanned">, as planned</template>
          <span v-if="purchase.place.arrives !== null" class="figures"
            >, {{ momentInWords(purchase.place.opens ?? purchase.place.arrives) }}</span
          >
          <span v-if="placeWords(purchase)" class="block">{{ placeWords(purchase) }}</span>
        </li>
      </ul>
      <p v-if="stop.strandedWithout - stop.strandedWith > 0.0005" class="mt-1">
        Stranded after it: {{ chanceInWords(stop.strandedWithout) }} without,
        {{ chanceInWords(stop.strandedWith) }} with.
      </p>
    </div>
  </section>
</template>
