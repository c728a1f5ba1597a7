<script setup lang="ts">
import type { Dials } from '~~/core/trip'
import { GRAMS_PER_OUNCE } from '~~/core/units'

/** The planning values behind the ledger; each can be changed. */
const store = useTripStore()
const { system } = useView()
const dials = computed(() => store.trip!.dials)

function set<K extends keyof Dials>(key: K, value: Dials[K], label: string) {
  store.edit(`set ${label}`, { dials: { ...dials.value, [key]: value } })
}
</script>

<template>
  <details class="sheet">
    <summary class="px-4 py-2.5 font-semibold">
      Limits and assumptions <span class="font-normal text-soft">planning values: change what you know better</span>
    </summary>
    <div class="grid gap-x-5 gap-y-3 border-t border-line p-4 sm:grid-cols-2 xl:grid-cols-3">
      <MeasureField
        label="The kit may weigh at most"
        :model-value="dials.budgetG"
        quantity="mass"
        :unit="system === 'metric' ? 'g' : 'oz'"
        :per-unit="system === 'metric' ? 1 : GRAMS_PER_OUNCE"
        :most="100000"
        allow-none
        placeholder="no limit"
        @update:model-value="set('budgetG', $event, 'the limit')"
      />
      <label class="block text-sm text-soft"
        >Walking by
        <select
          class="slot mt-1 text-ink"
          :value="dials.walking"
          @change="set('walking', ($event.target as HTMLSelectElement).value as Dials['walking'], 'the walking rule')"
        >
          <option value="naismith">Naismith’s rule, 1892</option>
          <option value="tobler">Tobler’s function, 1993</option>
        </select>
      </label>
      <MeasureField
        label="Walking hours in a day"
        :model-value="dials.walkHoursPerDay"
        quantity="time"
        unit="h"
        :least="1"
        :most="24"
        @update:model-value="$event !== null && set('walkHoursPerDay', $event, 'walking hours')"
      />
      <MeasureField
        label="A night out costs besides"
        :model-value="dials.nightOutH"
        quantity="time"
        unit="h"
        :most="200"
        @update:model-value="$event !== null && set('nightOutH', $event, 'a night out')"
      />
      <MeasureField
        label="A ride that ends early costs"
        :model-value="dials.rideOverH"
        quantity="time"
        unit="h"
        :most="1000"
        @update:model-value="$event !== null && set('rideOverH', $event, 'a ride over')"
      />
      <MeasureField
        label="A lift comes within"
        :model-value="dials.liftWaitH"
        quantity="time"
        unit="h"
        :most="500"
        allow-none
        placeholder="no lift"
        @update:model-value="set('liftWaitH', $event, 'the lift')"
      />
      <label class="block text-sm text-soft"
        >Trust a shop that has the part in
        <select
          class="slot mt-1 text-ink"
          :value="dials.trust"
          @change="set('trust', Number(($event.target as HTMLSelectElement).value), 'trust')"
        >
          <option
            v-for="value in [...new Set([0.3, 0.5, 0.6, 0.8, 0.9, dials.trust])].sort()"
            :key="value"
            :value="value"
          >
            {{ Math.round(value * 100) }} of 100 cases
          </option>
        </select>
      </label>
      <label class="block text-sm text-soft"
        >A passer-by who can mend it stops in
        <select
          class="slot mt-1 text-ink"
          :value="dials.helper"
          @change="set('helper', Number(($event.target as HTMLSelectElement).value), 'passers-by')"
        >
          <option
            v-for="value in [...new Set([0, 0.05, 0.15, 0.3, 0.6, dials.helper])].sort()"
            :key="value"
            :value="value"
          >
            {{ value === 0 ? 'no case: nobody, or not allowed' : `${Math.round(value * 100)} of 100 cases` }}
          </option>
        </select>
      </label>
    </div>
  </details>
</template>
