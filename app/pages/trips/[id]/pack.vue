<script setup lang="ts">
import { NuxtLink } from '#components'
import { catalogue } from '#catalogue'
import { packingValues, type PlanningKind } from '#core/reference'
import { computed, ref } from 'vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import BulkDialog from '../../../components/pack/BulkDialog.vue'
import PackedBike from '../../../components/pack/PackedBike.vue'
import PlanningField from '../../../components/weigh/PlanningField.vue'
import { walkRows } from '../../../composables/walkRows'
import { useKitStore } from '../../../stores/kit'
import { usePack } from '../../../stores/pack'
import { useTripStore } from '../../../stores/trip'

/** Where everything is packed: each bike with its bags, and in each what lies at hand and what deep. */
const store = useTripStore()
const kit = useKitStore()
const pack = usePack()
pack.watchKit()

const ridden = computed(() =>
  store.openTrip.bikes.filter(({ id }) => store.openTrip.crew.some(({ bikeId }) => bikeId === id)),
)
const planOf = (bikeId: string) => pack.plans?.find((plan) => plan.bikeId === bikeId)
const opened = ref('')
const measuredId = ref('')
const measured = computed(() => store.openTrip.bench.find(({ id }) => id === measuredId.value))
const labels: Partial<Record<PlanningKind, string>> = {
  dig: 'to take a piece out and put it back',
  unwrap: 'to unwrap and wrap again',
  hurry: 'a minute in a hurry counts for',
  high: 'a gram carried high, of one carried',
  tapeG: 'tape round a thing weighs',
  bagG: 'a small bag weighs',
}
const values = packingValues(catalogue)
</script>

<template>
  <div class="pb-6">
    <header class="md:tall:sticky top-0 z-20 border-b border-line bg-paper px-4 py-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Pack</h1>
        <p class="text-sm text-soft" role="status">
          <template v-if="pack.isBusy && kit.chosen?.kit">Packing …</template>
        </p>
      </div>
    </header>
    <div class="p-4">
      <FaultLines v-if="kit.chosen?.problems.length" :lines="kit.chosen.problems" />
      <FaultLines v-if="pack.failure" :lines="[pack.failure]" />
      <p v-if="store.openTrip.crew.length === 0" class="text-sm text-soft">
        Nobody rides yet:
        <NuxtLink :to="`/trips/${store.id}/crew`" class="underline">add riders</NuxtLink>, and what each carries is
        packed on their bike.
      </p>
      <p v-else-if="!pack.plans && !pack.isBusy" class="mb-3 max-w-prose text-sm text-soft">
        There is nothing to pack yet: the kit is chosen once there is a road, and
        <NuxtLink :to="`/trips/${store.id}/bench`" class="underline">something on the bench</NuxtLink>. Bags can be hung
        on already.
      </p>
      <div class="space-y-8" @keydown="walkRows($event, 'button.piece')">
        <PackedBike
          v-for="bike in ridden"
          :key="bike.id"
          :bike="bike"
          :plan="planOf(bike.id)"
          :opened="opened"
          @open="opened = $event"
          @measure="measuredId = $event"
        />
      </div>
      <template v-if="pack.plans">
        <p class="mt-4 max-w-prose text-xs text-soft">
          Each bag is listed from its opening downwards. A piece goes into another by its grip or from its own list; the
          space bar keeps it where it is. How often it is wanted comes from what may fail on this road.
        </p>
        <div class="mt-3 grid max-w-4xl grid-cols-2 gap-4 sm:grid-cols-3 print:hidden">
          <PlanningField v-for="value in values" :key="value.key" :value="value" :label="labels[value.kind] ?? ''" />
        </div>
      </template>
    </div>
    <BulkDialog v-if="measured" :thing="measured" @close="measuredId = ''" />
  </div>
</template>
