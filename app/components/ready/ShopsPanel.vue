<script setup lang="ts">
import { mostShops, shopSchema, type Shop } from '#core/home'
import { holidayCountries } from '#core/ride'
import { cutTo } from '#core/validation'
import { Plus, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { focusName } from '../../composables/focusName'
import { useReadyEdits } from '../../composables/useReadyEdits'
import { useTripStore } from '../../stores/trip'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'
import HoursField from '../road/HoursField.vue'

/** Shops at home: by their hours and days of delivery is known when the last day is to buy something. */
const store = useTripStore()
const { putShop, removeShop, setHome, newId } = useReadyEdits()
const home = computed(() => store.openTrip.home)
const longestName = 120
const names = new Intl.DisplayNames('en', { type: 'region' })
const countries = [...holidayCountries]
  .map((code) => ({ code, name: names.of(code.toUpperCase()) ?? code }))
  .sort((a, b) => a.name.localeCompare(b.name))

function add() {
  const id = newId()
  putShop(shopSchema.parse({ id, name: `Shop ${home.value.shops.length + 1}` }))
  void focusName(`shop-${id}`)
}
function put(shop: Shop, part: Partial<Shop>) {
  const next = shopSchema.safeParse({ ...shop, ...part })
  if (next.success) putShop(next.data)
}
const setCountry = (event: Event) =>
  setHome({ country: (event.target as HTMLSelectElement).value || null }, 'the country of the holidays at home')
</script>

<template>
  <section aria-labelledby="shops-title" class="px-4 py-4 print:hidden">
    <div class="flex flex-wrap items-center gap-3">
      <h2 id="shops-title" class="text-base">Shops at home</h2>
      <button type="button" class="button min-h-7!" :disabled="home.shops.length >= mostShops" @click="add">
        <Plus :size="15" aria-hidden="true" />A shop
      </button>
    </div>
    <p class="mt-1 max-w-prose text-xs text-soft">
      Where things are bought before you leave. What nobody has given a shop counts as ordered. Post and orders take
      working days; holidays are those of the country.
    </p>
    <label class="mt-2 flex flex-wrap items-center gap-2 text-sm text-soft"
      >Holidays at home are those of
      <select class="field w-auto! max-w-64! text-ink" :value="home.country ?? ''" @change="setCountry">
        <option value="">{{ store.openTrip.ride.country ? 'the country of the ride' : 'no country' }}</option>
        <option v-for="{ code, name } in countries" :key="code" :value="code">{{ name }}</option>
      </select>
    </label>
    <ul v-if="home.shops.length" class="mt-3 max-w-3xl border-t border-line">
      <li
        v-for="shop in home.shops"
        :key="shop.id"
        class="grid gap-x-4 gap-y-2 border-b border-line py-3 sm:grid-cols-2"
      >
        <label class="block text-sm text-soft"
          >Name
          <TypedField
            :id="`shop-${shop.id}`"
            class="field mt-1 text-ink"
            :model-value="shop.name"
            :maxlength="longestName"
            @update:model-value="put(shop, { name: cutTo($event.trim(), longestName) })"
          />
        </label>
        <div class="flex items-end gap-2">
          <MeasureField
            class="flex-1"
            label="Working days until it is delivered"
            :model-value="shop.deliveryDays"
            amount="number"
            :most="60"
            allow-none
            placeholder="one goes there"
            @update:model-value="put(shop, { deliveryDays: $event === null ? null : Math.round($event) })"
          />
          <button
            type="button"
            class="button button-bare"
            :aria-label="`Remove ${shop.name}`"
            @click="removeShop(shop)"
          >
            <Trash2 :size="15" aria-hidden="true" />
          </button>
        </div>
        <HoursField
          v-if="shop.deliveryDays === null"
          class="sm:col-span-2"
          :label="`Opening hours of ${shop.name}`"
          :model-value="shop.hours"
          :road-km="0"
          @update:model-value="put(shop, { hours: $event })"
        />
      </li>
    </ul>
  </section>
</template>
