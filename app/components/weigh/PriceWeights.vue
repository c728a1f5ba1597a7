<script setup lang="ts">
import { inCurrency, type Dials } from '#core/trip'
import { computed } from 'vue'
import { useTripStore } from '../../stores/trip'
import MeasureField from '../common/MeasureField.vue'
import MoneyField from '../common/MoneyField.vue'

/** What time at home and money weigh against hours on the road. */
const store = useTripStore()
const dials = computed(() => store.openTrip.dials)
const names = new Intl.DisplayNames('en', { type: 'currency' })
const currencies = Intl.supportedValuesOf('currency')
  .map((code) => ({ code, name: names.of(code) ?? code }))
  .sort((a, b) => a.name.localeCompare(b.name))

function set(part: Partial<Dials>, label: string) {
  store.edit(label, { dials: { ...dials.value, ...part } })
}
const setCurrency = (event: Event) =>
  set(inCurrency(dials.value, (event.target as HTMLSelectElement).value), 'the currency')
</script>

<template>
  <section aria-labelledby="weights-title" class="px-4 py-4">
    <h2 id="weights-title" class="text-base">What home and money weigh</h2>
    <p class="mt-1 max-w-prose text-xs text-soft">
      Planning values. Grams have their own price: the dial. With another currency, prices are asked for anew.
    </p>
    <div class="mt-2 grid max-w-2xl gap-x-5 gap-y-3 sm:grid-cols-3">
      <MeasureField
        label="An hour at home, against one on the road"
        :model-value="dials.homeShare"
        amount="share"
        :most="10"
        @update:model-value="$event !== null && set({ homeShare: $event }, 'what an hour at home weighs')"
      />
      <MoneyField
        label="An hour spared on the road is worth"
        :model-value="dials.moneyPerHour"
        :currency="dials.currency"
        :least="1"
        allow-none
        placeholder="no matter"
        @update:model-value="set({ moneyPerHour: $event }, 'what money weighs')"
      />
      <label class="block text-sm text-soft"
        >Currency
        <select class="field mt-1 text-ink" :value="dials.currency" @change="setCurrency">
          <option v-for="{ code, name } in currencies" :key="code" :value="code">{{ name }} ({{ code }})</option>
        </select>
      </label>
    </div>
  </section>
</template>
