<script setup lang="ts">
import { nth, defined } from '#core/validation'
import type { Bike } from '#core/bike'
import { calculators } from '#core/calculators'
import { strongestHandN } from '#core/crew'
import { knownInputs } from '#wording'
import { computed, ref } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import CalculatorCard from './CalculatorCard.vue'

/** The calculations people do on the back of an envelope, filled in from the trip where it knows; by themselves without entry. */
const props = defineProps<{ knownFrom?: Bike }>()
const store = useTripStore()
const kit = useKitStore()

const opened = ref(nth(nth(calculators, 0).calculators, 0).id)
const calculator = computed(() =>
  defined(calculators.flatMap((group) => group.calculators).find(({ id }) => id === opened.value)),
)
const known = computed(() =>
  knownInputs({
    bike: props.knownFrom,
    bikes: store.trip?.bikes.length ?? 0,
    bench: store.trip?.bench ?? [],
    handMostN: store.trip && strongestHandN(store.trip),
    roadKm: kit.analysis?.lengthKm ?? null,
    wear: props.knownFrom && kit.analysis?.wear[props.knownFrom.id],
  }),
)
</script>

<template>
  <div class="md:grid md:grid-cols-[12.5rem_minmax(0,1fr)]">
    <label class="block border-b border-line bg-ground px-4 py-3 text-sm text-soft md:hidden"
      >Calculator
      <select v-model="opened" class="field mt-1 text-ink">
        <optgroup v-for="group in calculators" :key="group.about" :label="group.about">
          <option v-for="entry in group.calculators" :key="entry.id" :value="entry.id">{{ entry.name }}</option>
        </optgroup>
      </select>
    </label>
    <nav aria-label="Calculators" class="border-r border-line bg-ground py-2 max-md:hidden">
      <div v-for="group in calculators" :key="group.about">
        <p class="stamped px-4 pt-2 text-soft">{{ group.about }}</p>
        <button
          v-for="entry in group.calculators"
          :key="entry.id"
          type="button"
          class="block w-full px-4 py-1 text-left"
          :class="entry.id === opened ? 'bg-paper font-bold' : 'hover:bg-paper/60'"
          :aria-current="entry.id === opened ? 'true' : undefined"
          @click="opened = entry.id"
        >
          {{ entry.name }}
        </button>
      </div>
    </nav>
    <CalculatorCard :key="`${opened} ${knownFrom?.id ?? ''}`" :calculator="calculator" :known="known" />
  </div>
</template>
