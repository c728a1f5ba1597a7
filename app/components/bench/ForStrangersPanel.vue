<script setup lang="ts">
import { ofStrangers } from '#catalogue'
import { thingFrom, type Thing } from '#core/bench'
import { wishToHelp } from '#core/candidates'
import { strongestHandN } from '#core/crew'
import { itemsPrice } from '#core/reference'
import { nth } from '#core/validation'
import { knownPriceInWords } from '#wording'
import { StorageSerializers, useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useTripShed } from '../../composables/useTripShed'
import { strangersKeptAs } from '../../session/kept-choices'
import { useTripStore } from '../../stores/trip'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { localeOfApp } from '../common/locale-of-app'

/** The wish to help on other people's bikes: what of theirs the kit turns, and what it would take to turn the rest. */
const store = useTripStore()
const { taken } = useVerdicts()
const { grams } = useView()
const { reference } = useTripShed()

const ids = useLocalStorage<string[]>(strangersKeptAs, [], { serializer: StorageSerializers.object })
const wished = computed(() => ofStrangers.filter(({ id }) => ids.value.includes(id)))
const carried = computed(() => taken.value.map(({ thing }) => thing))
const handMostN = computed(() => strongestHandN(store.openTrip))
const all = computed(() => wishToHelp(ofStrangers, carried.value, [], handMostN.value).turned)
const wish = computed(() => wishToHelp(wished.value, carried.value, reference.value.items, handMostN.value))
const turned = computed(() => wish.value.turned.filter(Boolean).length)
const price = computed(() => {
  const { dials } = store.openTrip
  return knownPriceInWords(itemsPrice(wish.value.addition.items, dials), dials.currency, localeOfApp)
})

/** What is lacking comes along: from the bench where one of its kind lies there, else laid down. */
function grant() {
  const { items } = wish.value.addition
  const bench = items.reduce<readonly Thing[]>((laid, item) => {
    const known = laid.find(({ from }) => from === item.id)
    if (!known) return [...laid, { ...thingFrom(item, crypto.randomUUID().slice(0, 8)), pin: { min: 1, max: 1 } }]
    const pin = { min: 1, max: Math.max(1, known.pin?.max ?? 1) }
    return laid.map((thing) => (thing === known ? { ...thing, pin } : thing))
  }, store.openTrip.bench)
  store.edit('take along what helps others', { bench: [...bench] })
}
</script>

<template>
  <section class="border-t border-line p-4" aria-labelledby="for-strangers">
    <h2 id="for-strangers" class="text-base">For the bikes of others</h2>
    <p class="mt-1 max-w-prose text-xs text-soft">
      What you would like to turn where somebody else stands by the road. It spares you nothing, so the balance never
      takes it: it is a wish, and this is its price. Common sizes, no source; whoever owns the bike decides what is done
      to it.
    </p>
    <ul class="mt-2 grid gap-x-6 sm:grid-cols-2" aria-label="Bolts of other bikes">
      <li v-for="(fastener, i) in ofStrangers" :key="fastener.id" class="text-sm">
        <label class="flex items-baseline gap-2 py-0.5 pointer-coarse:min-h-11 pointer-coarse:items-center">
          <input v-model="ids" type="checkbox" :value="fastener.id" class="accent-petrol" />
          <span class="min-w-0 flex-1">{{ fastener.name }}</span>
          <span class="text-xs text-soft">{{ nth(all, i) ? 'the kit turns it' : '' }}</span>
        </label>
      </li>
    </ul>
    <div v-if="wished.length" class="mt-3 text-sm">
      <p role="status">
        The kit turns <span class="figures font-semibold">{{ turned }}</span> of
        <span class="figures">{{ wished.length }}</span>.
        <template v-if="wish.addition.items.length">
          For the rest: {{ wish.addition.items.map(({ name }) => name).join(', ') }},
          <strong class="figures">{{ grams(wish.addition.massG) }}</strong>,
          <span class="figures">{{ price }}</span>.</template
        >
        <template v-if="wish.addition.hopeless.length">
          Nothing of the catalogue turns {{ wish.addition.hopeless.map(({ name }) => name).join(', ') }}.</template
        >
      </p>
      <button v-if="wish.addition.items.length" type="button" class="button mt-2" @click="grant">
        Take {{ wish.addition.items.length === 1 ? 'it' : 'them' }} along, pinned
      </button>
    </div>
  </section>
</template>
