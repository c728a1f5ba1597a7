<script setup lang="ts">
import type { Dials } from '#core/trip'
import { computed } from 'vue'
import { useTripStore } from '../../stores/trip'
import HandField from '../common/HandField.vue'
import MeasureField from '../common/MeasureField.vue'
import MoneyField from '../common/MoneyField.vue'

/** The planning values behind the ledger; each can be changed. */
const store = useTripStore()
const dials = computed(() => store.openTrip.dials)

function set<K extends keyof Dials>(key: K, value: Dials[K], label: string) {
  store.edit(`set ${label}`, { dials: { ...dials.value, [key]: value } })
}
</script>

<template>
  <details class="card">
    <summary class="px-4 py-2.5 font-semibold">
      Limits and assumptions <span class="font-normal text-soft">planning values: change what you know better</span>
    </summary>
    <div class="grid gap-x-5 gap-y-3 border-t border-line p-4 sm:grid-cols-2 xl:grid-cols-3">
      <MeasureField
        label="The kit may weigh at most"
        :model-value="dials.budgetG"
        amount="mass"
        :most="100000"
        allow-none
        placeholder="no limit"
        @update:model-value="set('budgetG', $event, 'the limit')"
      />
      <MoneyField
        label="What is not there yet may cost at most"
        :model-value="dials.budgetMoney"
        :currency="dials.currency"
        allow-none
        placeholder="no limit"
        @update:model-value="set('budgetMoney', $event, 'the limit of money')"
      />
      <label class="block text-sm text-soft"
        >Walking by
        <select
          class="field mt-1 text-ink"
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
        amount="time"
        :least="1"
        :most="24"
        @update:model-value="$event !== null && set('walkHoursPerDay', $event, 'walking hours')"
      />
      <MeasureField
        label="A night out costs besides"
        :model-value="dials.nightOutH"
        amount="time"
        :most="200"
        @update:model-value="$event !== null && set('nightOutH', $event, 'a night out')"
      />
      <MeasureField
        label="A ride that ends early costs"
        :model-value="dials.rideOverH"
        amount="time"
        :most="1000"
        @update:model-value="$event !== null && set('rideOverH', $event, 'a ride over')"
      />
      <MeasureField
        label="A lift comes within"
        :model-value="dials.liftWaitH"
        amount="time"
        :most="500"
        allow-none
        placeholder="no lift"
        @update:model-value="set('liftWaitH', $event, 'the lift')"
      />
      <MeasureField
        label="Trust a shop that has the part in at least"
        :model-value="dials.trust"
        amount="share"
        :most="1"
        @update:model-value="$event !== null && set('trust', $event, 'trust')"
      />
      <MeasureField
        label="A shop that is shut is waited for up to"
        :model-value="dials.waitH"
        amount="time"
        :most="72"
        @update:model-value="$event !== null && set('waitH', $event, 'waiting for shops')"
      />
      <MeasureField
        label="A passer-by who can mend it stops in"
        :model-value="dials.helper"
        amount="share"
        :most="1"
        @update:model-value="$event !== null && set('helper', $event, 'passers-by')"
      />
      <HandField />
    </div>
  </details>
</template>
