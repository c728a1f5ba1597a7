<script setup lang="ts">
import { catalogue } from '#catalogue'
import { mayBring } from '#core/access'
import type { Thing } from '#core/bench'
import { formatMoney, knownPrice } from '#core/money'
import { itemPrice } from '#core/reference'
import { toGet } from '#core/shed'
import { hoursInWords, knownPriceInWords } from '#wording'
import { computed, ref } from 'vue'
import { useTripShed } from '../../composables/useTripShed'
import { useKitStore } from '../../stores/kit'
import { useShed } from '../../stores/shed'
import { useTripStore } from '../../stores/trip'
import { useVerdicts } from '../../stores/verdicts'
import PlanningField from './PlanningField.vue'
import { useView } from '../../stores/view'
import { localeOfApp } from '../common/locale-of-app'

/** What the kit takes and is not there yet: what it would spare, and what it costs to get. */
const store = useTripStore()
const kit = useKitStore()
const { things } = useShed()
const { taken } = useVerdicts()
const { own, priceOfKind } = useTripShed()

const { shopInWords } = useView()
const kindOf = ({ from }: Thing) => catalogue.items.find(({ id }) => id === from)
/** What others bring is for them to get. */
const theirs = computed(() => store.openTrip.bench.filter((thing) => mayBring(store.access, thing)))
const lines = computed(() => {
  const carried = Object.fromEntries(taken.value.map(({ thing, verdict }) => [thing.id, verdict.n]))
  const hours = new Map(taken.value.map((row) => [row.thing.id, row.hours]))
  return toGet(theirs.value, carried, store.openTrip.stops)
    .map(({ thing, pieces, shop }) => {
      const price = priceOfKind(thing)
      return {
        thing,
        kind: kindOf(thing),
        pieces,
        shop,
        hours: hours.get(thing.id) ?? 0,
        price: price === undefined ? null : price * pieces,
      }
    })
    .sort((a, b) => b.hours - a.hours)
})
/** The line whose price is being changed. */
const priced = ref('')
const total = computed(() => {
  const pieces = lines.value.map(({ thing, pieces }) => ({ count: pieces, each: priceOfKind(thing) }))
  return knownPriceInWords(knownPrice(pieces), store.openTrip.dials.currency, localeOfApp)
})
const limit = computed(() => store.openTrip.dials.budgetMoney)
const money = (price: number) => formatMoney(price, store.openTrip.dials.currency, localeOfApp)
</script>

<template>
  <section
    v-if="(things.length || limit !== null) && kit.kit && lines.length"
    class="mx-4 mt-6"
    aria-labelledby="to-get"
  >
    <h2 id="to-get" class="text-base">{{ things.length ? 'Not in your shed' : 'To be bought' }}</h2>
    <p class="mt-1 text-xs text-soft">
      The kit takes these, and you are not known to own them. Hours are what each spares beside the rest; prices are
      planning values, <span class="figures">{{ total }}</span> in all<template v-if="limit !== null"
        >, of the <span class="figures">{{ money(limit) }}</span> that you would spend</template
      >.
    </p>
    <ul class="mt-2 border-t border-line text-sm" aria-label="To be got">
      <li
        v-for="{ thing, kind, pieces, shop, hours, price } in lines"
        :key="thing.id"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-1.5"
      >
        <span class="min-w-40 flex-1 [overflow-wrap:anywhere]"
          ><strong>{{ pieces > 1 ? `${pieces} × ` : '' }}{{ thing.name }}</strong
          ><span v-if="shop" class="block text-xs text-soft">{{ shopInWords(shop) }}</span></span
        >
        <span class="figures w-20 text-right text-petrol">{{ hoursInWords(hours) }}</span>
        <button
          v-if="kind"
          type="button"
          class="figures min-h-8 w-20 text-right underline decoration-dotted pointer-coarse:min-h-11"
          :aria-label="`${price === null ? 'No price' : money(price)}: change the price of ${thing.name}`"
          :aria-expanded="priced === thing.id"
          @click="priced = priced === thing.id ? '' : thing.id"
        >
          {{ price === null ? 'no price' : money(price) }}
        </button>
        <span v-else class="figures w-20 text-right">no price</span>
        <button v-if="!shop" type="button" class="button" :aria-label="`I have ${thing.name}`" @click="own([thing])">
          I have it
        </button>
        <div v-if="kind && priced === thing.id" class="w-full">
          <PlanningField class="max-w-48" :value="itemPrice(kind)" :label="`Price of ${thing.name}`" />
        </div>
      </li>
    </ul>
  </section>
</template>
