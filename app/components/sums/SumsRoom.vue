<script setup lang="ts">
import type { Bike } from '~~/core/bike'
import { knownInputs, sums } from '~~/core/sums'

/** The sums people do on the back of an envelope, filled in from the trip where it knows; by themselves without one. */
const props = defineProps<{ knownFrom?: Bike }>()
const store = useTripStore()
const kit = useKitStore()

const opened = ref(sums[0]!.sums[0]!.id)
const sum = computed(() => sums.flatMap((group) => group.sums).find(({ id }) => id === opened.value)!)
const known = computed(() =>
  knownInputs({
    bike: props.knownFrom,
    bikes: store.trip?.bikes.length ?? 0,
    bench: store.trip?.bench ?? [],
    handMostN: store.trip?.dials.handMostN,
    roadKm: kit.reckoning?.lengthKm ?? null,
    wear: props.knownFrom && kit.reckoning?.wear[props.knownFrom.id],
  }),
)
</script>

<template>
  <div class="md:grid md:grid-cols-[12.5rem_minmax(0,1fr)]">
    <label class="block border-b border-line bg-ground px-4 py-3 text-sm text-soft md:hidden"
      >Sum
      <select v-model="opened" class="slot mt-1 text-ink">
        <optgroup v-for="group in sums" :key="group.about" :label="group.about">
          <option v-for="one in group.sums" :key="one.id" :value="one.id">{{ one.name }}</option>
        </optgroup>
      </select>
    </label>
    <nav aria-label="Sums" class="border-r border-line bg-ground py-2 max-md:hidden">
      <div v-for="group in sums" :key="group.about">
        <p class="stamped px-4 pt-2 text-soft">{{ group.about }}</p>
        <button
          v-for="one in group.sums"
          :key="one.id"
          type="button"
          class="block w-full px-4 py-1 text-left"
          :class="one.id === opened ? 'bg-paper font-bold' : 'hover:bg-paper/60'"
          :aria-current="one.id === opened ? 'true' : undefined"
          @click="opened = one.id"
        >
          {{ one.name }}
        </button>
      </div>
    </nav>
    <SumSheet :key="`${opened} ${knownFrom?.id ?? ''}`" :sum="sum" :known="known" />
  </div>
</template>
