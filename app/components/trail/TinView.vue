<script setup lang="ts">
import { catalogue } from '#catalogue'
import { amountOfClassInWords } from '#wording'
import { computed } from 'vue'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import type { Here } from '../../workers/trail-guide'

/** Who has what, bag by bag; those first who are here. */
const props = defineProps<{ here: Here }>()
const store = useTripStore()
const trail = useTrail()
const nameOf = (thing: string) => props.here.things.find(({ id }) => id === thing)?.name ?? thing
const riders = computed(() => {
  const { crew } = store.openTrip
  const isHere = (id: string) => props.here.present.includes(id)
  return [...crew.filter(({ id }) => isHere(id)), ...crew.filter(({ id }) => !isHere(id))].map(({ id, name }) => {
    const mine = props.here.left.filter(({ rider }) => rider === id)
    const bags = [...new Set(mine.map((pieces) => pieces.bags.join(', ')))].sort()
    return {
      id,
      name,
      off: trail.away.find(({ rider }) => rider === id)?.hoursOff,
      isHere: isHere(id),
      bags: bags.map((bag) => ({ bag, pieces: mine.filter((pieces) => pieces.bags.join(', ') === bag) })),
    }
  })
})
const amountsOf = (amounts: Readonly<Record<string, number>>, thing: string) => {
  const units = props.here.things.find(({ id }) => id === thing)?.units ?? {}
  return Object.entries(amounts)
    .filter(([stock]) => units[stock] !== 1)
    .map(([stock, amount]) => `${amountOfClassInWords(amount, stock, catalogue.families)} in it`)
    .join(', ')
}
</script>

<template>
  <div class="px-4 pb-4 pt-3">
    <h1 class="text-2xl">Who has what</h1>
    <p v-if="!trail.hasSetOff" class="mt-1 text-base text-soft">
      As the plan has it. Who carries it, and where it is packed, is kept once you set off.
    </p>
    <section v-for="rider in riders" :key="rider.id" class="mt-4" :aria-label="rider.name">
      <h2 class="text-lg">
        {{ rider.name }}
        <span v-if="!rider.isHere" class="text-base font-normal text-madder">not here</span>
      </h2>
      <p v-if="rider.bags.length === 0" class="text-base text-soft">nothing of the kit</p>
      <div v-for="{ bag, pieces } in rider.bags" :key="bag" class="mt-2">
        <h3 v-if="bag" class="text-base text-brass">{{ bag }}</h3>
        <ul>
          <li v-for="each in pieces" :key="each.thing" class="flex gap-3 border-b border-line py-1.5 text-base">
            <span class="min-w-0 flex-1">{{ nameOf(each.thing) }}</span>
            <span class="figures shrink-0 text-soft">{{
              [each.count > 1 ? `${each.count} ×` : '', amountsOf(each.amounts, each.thing)].filter(Boolean).join(' ')
            }}</span>
          </li>
        </ul>
      </div>
    </section>
  </div>
</template>
