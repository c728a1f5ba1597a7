<script setup lang="ts">
import { defined } from '#core/validation'
import type { Head } from '#core/bench'
import type { Bike, Fastener } from '#core/bike'
import type { Coverage } from '#core/fit'
import { headInWords } from '#wording'
import { Plus } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { computed, ref, shallowRef } from 'vue'
import { useBench } from '../../composables/useBench'
import { useCoverage } from '../../stores/coverage'
import { useFitWords } from '../../composables/useFitWords'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import TermHint from '../common/TermHint.vue'
import HandField from '../common/HandField.vue'
import FastenerDialog from './FastenerDialog.vue'
import FastenerLine from './FastenerLine.vue'
import FitMatrix from './FitMatrix.vue'

/** Which tool turns what on any bike of the crew: what is uncovered first, as a matrix and as a list, and dead weight. */
const store = useTripStore()
const kit = useKitStore()
const { fitOf } = useCoverage()
const { nameOf } = useFitWords()
const { take } = useBench()
const { grams } = useView()

const showsList = ref(false)
const fit = computed(() => kit.analysis?.fit)
const itemOf = (id: string) => defined(catalogue.items.find((item) => item.id === id))
const counts = computed(() => {
  const found: Record<Coverage, number> = { turned: 0, borrowed: 0, waits: 0, uncovered: 0 }
  for (const { coverage } of fit.value?.fasteners ?? []) found[coverage]++
  return found
})
interface Open {
  readonly bike: Bike
  readonly fastener: Fastener
}
/** What nothing turns, by the lightest thing that would. */
const open = computed(() => {
  const byItem = new Map<string, Open[]>()
  for (const bike of store.openTrip.bikes) {
    for (const fastener of bike.fasteners) {
      const found = fitOf(bike, fastener)
      if (found?.coverage !== 'uncovered') continue
      const item = found.wouldTurn?.item ?? ''
      byItem.set(item, [...(byItem.get(item) ?? []), { bike, fastener }])
    }
  }
  return [...byItem]
})
/** "Axle nuts, rear, and headset (the folder)": fasteners with the bike they are on named once. */
function together(list: readonly Open[]) {
  const byBike = new Map<Bike, string[]>()
  for (const { bike, fastener } of list) byBike.set(bike, [...(byBike.get(bike) ?? []), fastener.name])
  return [...byBike].map(([bike, names]) => ({ bike: bike.name, names: names.join('; ') }))
}
const borrowed = computed(() => together(listed('borrowed')))
const lends = computed(() => store.openTrip.stops.filter(({ bigWrench }) => bigWrench).map(({ name }) => name))
function listed(coverage: Coverage): Open[] {
  return store.openTrip.bikes.flatMap((bike) =>
    bike.fasteners
      .filter((fastener) => fitOf(bike, fastener)?.coverage === coverage)
      .map((fastener) => ({ bike, fastener })),
  )
}
const idle = computed(() => Object.entries(fit.value?.idle ?? {}))
const wholly = (thing: string, heads: readonly Head[]) =>
  heads.length === store.openTrip.bench.find(({ id }) => id === thing)?.heads.length
function takeAll() {
  take(defined(fit.value).addition.items.map(itemOf))
}
const edited = shallowRef<Open>()
</script>

<template>
  <div v-if="fit" class="pt-3">
    <p class="px-4">
      <strong class="figures">{{ counts.turned }}</strong> turn with what lies on the bench<template
        v-if="counts.borrowed"
        >, <strong class="figures">{{ counts.borrowed }}</strong> only with a borrowed wrench</template
      ><template v-if="counts.waits"
        >, <strong class="figures">{{ counts.waits }}</strong> can wait for a workshop</template
      >,
      <strong class="figures" :class="counts.uncovered ? 'text-lacking' : 'text-petrol'">{{
        counts.uncovered || 'none'
      }}</strong>
      {{ ' ' }}<TermHint term="uncovered" />.
    </p>

    <section v-if="open.length" aria-label="Uncovered" class="mx-4 mt-3 rounded border border-lacking">
      <header class="flex flex-wrap items-center gap-2 border-b border-line px-3 py-1.5">
        <h2 class="text-base text-lacking">Nothing turns these</h2>
        <button
          v-if="fit.addition.items.length > 1"
          type="button"
          class="button ml-auto min-h-7! text-sm"
          @click="takeAll"
        >
          <Plus :size="14" aria-hidden="true" />All that is missing, {{ grams(fit.addition.massG) }}
        </button>
      </header>
      <ul>
        <li
          v-for="[item, list] in open"
          :key="item"
          class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-3 py-1.5 last:border-0"
        >
          <span class="min-w-0 flex-1 basis-56">
            <span v-for="{ bike, names } in together(list)" :key="bike" class="block"
              ><strong>{{ names }}</strong> <span class="text-sm text-soft">on {{ bike }}</span></span
            >
          </span>
          <button v-if="item" type="button" class="button min-h-7! text-sm" @click="take([itemOf(item)])">
            <Plus :size="14" aria-hidden="true" />{{ itemOf(item).name }}, {{ grams(itemOf(item).massG) }}
          </button>
          <span v-else class="text-sm text-soft">nothing in the catalogue would turn it</span>
        </li>
      </ul>
    </section>
    <p v-if="borrowed.length" class="mx-4 mt-3 border-l-4 border-brass pl-2 text-sm">
      With a big wrench to borrow:
      <span v-for="{ bike, names } in borrowed" :key="bike"
        ><strong>{{ names }}</strong> on {{ bike }}.
      </span>
      {{ lends.length ? `There is one at ${lends.join(' and ')}.` : 'No stop of this road is said to have one.' }}
    </p>

    <div class="mt-4 flex items-center gap-2 px-4">
      <h2 class="text-base">{{ showsList ? 'Every fastener' : 'At a glance' }}</h2>
      <button type="button" class="button ml-auto min-h-7! text-sm" @click="showsList = !showsList">
        {{ showsList ? 'As a matrix' : 'As a plain list' }}
      </button>
    </div>
    <template v-if="showsList">
      <section v-for="bike in store.trip!.bikes" :key="bike.id" class="mt-2" :aria-label="bike.name">
        <h3 class="stamped bg-well px-4 py-1 text-soft">{{ bike.name }}</h3>
        <ul :aria-label="`Fasteners of ${bike.name}`">
          <FastenerLine
            v-for="fastener in bike.fasteners"
            :key="fastener.id"
            :bike="bike"
            :fastener="fastener"
            shows-part
            @edit="edited = { bike, fastener }"
          />
        </ul>
      </section>
    </template>
    <FitMatrix v-else class="mt-1" />

    <section v-if="idle.length" class="mx-4 mt-5" aria-label="Dead weight">
      <h2 class="text-base">Turns nothing on any bike here</h2>
      <ul class="mt-1 text-sm">
        <li v-for="[thing, heads] in idle" :key="thing" class="border-b border-line py-1">
          <strong>{{ nameOf(thing) }}</strong>
          <span class="text-soft">: {{ wholly(thing, heads) ? 'all of it' : heads.map(headInWords).join(', ') }}</span>
        </li>
      </ul>
    </section>
    <div class="flex flex-wrap items-start gap-x-4 gap-y-2 px-4 pt-5">
      <HandField class="w-44" />
      <p class="min-w-0 flex-1 basis-72 pt-1 text-xs text-soft">
        Forces and torques are planning values, and hands differ. The maker’s manual decides; brakes, steering and
        carbon deserve a mechanic.
      </p>
    </div>
    <FastenerDialog
      v-if="edited"
      :bike="edited.bike"
      :fastener="edited.fastener"
      :is-new="false"
      @close="edited = undefined"
    />
  </div>
</template>
