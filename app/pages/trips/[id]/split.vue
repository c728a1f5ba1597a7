<script setup lang="ts">
import { NuxtLink } from '#components'
import { catalogue } from '#catalogue'
import { sharingValues } from '#core/reference'
import { hoursInWords } from '#wording'
import { computed, ref } from 'vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import PlanningField from '../../../components/weigh/PlanningField.vue'
import DoublesPanel from '../../../components/split/DoublesPanel.vue'
import RiderColumn from '../../../components/split/RiderColumn.vue'
import { useSplitEdits } from '../../../composables/useSplitEdits'
import { walkRows } from '../../../composables/walkRows'
import { useKitStore } from '../../../stores/kit'
import { useSplit } from '../../../stores/split'
import { useTripStore } from '../../../stores/trip'
import { useView } from '../../../stores/view'

/** Who carries what: the kit on the riders and their bikes, and what is worth a second one because they ride apart. */
const store = useTripStore()
const kit = useKitStore()
const split = useSplit()
const edits = useSplitEdits()
const { grams } = useView()
split.watchKit()
const values = sharingValues(catalogue)

const crew = computed(() => store.openTrip.crew)
const plan = computed(() => (split.plan?.riders.length === crew.value.length ? split.plan : undefined))
const columns = computed(() =>
  crew.value.flatMap((rider) => {
    const load = plan.value?.riders.find(({ id }) => id === rider.id)
    return load ? [{ rider, load }] : []
  }),
)
const mostG = computed(() => 1.05 * Math.max(1, ...columns.value.flatMap(({ load }) => [load.massG, load.fairG])))
/** Against the kit that a crew carries which stays together. */
const moreG = computed(() => {
  const now = plan.value
  const kitG = store.openTrip.bench.reduce((sum, { massG }, i) => sum + massG * (now?.kit[i] ?? 0), 0)
  return now ? Math.round(now.costs.massG - kitG) : 0
})
const isAnyKept = computed(() => store.openTrip.bench.some(({ carriedBy }) => Object.keys(carriedBy).length > 0))
const opened = ref('')
function give(thingId: string, from: string, to: string) {
  const thing = store.openTrip.bench.find(({ id }) => id === thingId)
  if (!thing) return
  opened.value = ''
  edits.give(thing, from, to)
}
/** Left and right go to the rider beside. */
function walk(event: KeyboardEvent) {
  walkRows(event, 'button.piece')
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  if (by === 0) return
  const lists = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('ul[data-list]')]
  const at = lists.findIndex((list) => list.contains(document.activeElement))
  const next = lists[at + by]?.querySelector<HTMLElement>('button.piece')
  if (at < 0 || !next) return
  event.preventDefault()
  next.focus()
}
</script>

<template>
  <div class="pb-6">
    <header class="md:tall:sticky top-0 z-20 border-b border-line bg-paper px-4 py-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Split</h1>
        <p class="text-sm text-soft" role="status">
          <template v-if="split.isBusy && kit.chosen?.kit"
            >Splitting … {{ split.rounds || ''
            }}<template v-if="split.isSoFar">; a first split stands below</template></template
          >
        </p>
        <div v-if="crew.length > 1 && plan" class="ml-auto flex gap-2 print:hidden">
          <button type="button" class="button min-h-7!" :disabled="split.isBusy" @click="edits.keepAll(plan)">
            Keep all where it is
          </button>
          <button type="button" class="button min-h-7!" :disabled="!isAnyKept" @click="edits.letAllGo()">
            Split anew
          </button>
        </div>
      </div>
      <p v-if="plan && crew.length > 1" class="mt-1 text-sm" data-sums>
        <strong class="figures">{{ hoursInWords(plan.costs.togetherH) }}</strong> lost while together,
        <strong class="figures">{{ hoursInWords(plan.costs.apartH) }}</strong> apart,
        <strong class="figures">{{ hoursInWords(plan.costs.fetchH) }}</strong> of handing over;
        <strong class="figures">{{ grams(plan.costs.massG) }}</strong> in all<template v-if="moreG !== 0"
          >, {{ grams(Math.abs(moreG)) }} {{ moreG > 0 ? 'more' : 'less' }} than while you stay together</template
        >; <strong class="figures">{{ grams(plan.costs.unevenG) }}</strong> would have to change riders to be even
      </p>
    </header>
    <div class="p-4">
      <FaultLines v-if="kit.chosen?.problems.length" :lines="kit.chosen.problems" />
      <FaultLines v-if="split.failure" :lines="[split.failure]" />
      <p v-if="crew.length === 0" class="text-sm text-soft">
        Nobody rides yet:
        <NuxtLink :to="`/trips/${store.id}/crew`" class="underline">add riders</NuxtLink>, and the kit is split among
        them.
      </p>
      <p v-else-if="!plan && !split.isBusy" class="max-w-prose text-sm text-soft">
        There is nothing to carry yet: the kit is chosen once there is a road, and
        <NuxtLink :to="`/trips/${store.id}/bench`" class="underline">something on the bench</NuxtLink>.
      </p>
      <p v-else-if="crew.length === 1 && plan" class="mb-3 max-w-prose text-sm text-soft">
        One rider carries it all. With
        <NuxtLink :to="`/trips/${store.id}/crew`" class="underline">others along</NuxtLink>, what each carries stands
        here.
      </p>
      <template v-if="plan">
        <div
          class="grid items-start gap-3"
          :class="
            columns.length > 2 ? 'sm:grid-cols-2 xl:grid-cols-3' : columns.length > 1 ? 'sm:grid-cols-2' : 'max-w-md'
          "
          @keydown="walk"
        >
          <RiderColumn
            v-for="{ rider, load } in columns"
            :key="rider.id"
            :rider="rider"
            :load="load"
            :most-g="mostG"
            :opened="opened"
            @open="opened = $event"
            @give="give"
          />
        </div>
        <DoublesPanel v-if="crew.length > 1 && !split.isSoFar" class="mt-6" :plan="plan" />
        <p v-if="crew.length > 1" class="mt-4 max-w-prose text-xs text-soft">
          A piece goes to another rider by its grip, by the number of that rider, or from its own list; the space bar
          keeps it where it is.
        </p>
        <div v-if="crew.length > 1" class="mt-3 flex max-w-prose flex-wrap gap-4 print:hidden">
          <PlanningField class="w-40" :value="values.fetch" label="handing over takes" />
          <PlanningField class="w-56" :value="values.uneven" label="a gram on the wrong rider, of one carried" />
        </div>
      </template>
    </div>
  </div>
</template>
