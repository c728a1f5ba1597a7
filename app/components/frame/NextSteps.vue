<script setup lang="ts">
import { bikeStarts } from '#catalogue'
import { assumedKind } from '#core/bike'
import { navigateTo } from '#imports'
import { hoursInWords } from '#wording'
import { ChevronRight, X } from '@lucide/vue'
import { useLocalStorage, watchDebounced } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { useFirstBench } from '../../composables/useFirstBench'
import { useGoTo } from '../../composables/useGoTo'
import { useKitStore, type WeighedStep } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'

/**
 * What the plan lacks that its answer hangs on most, in one quiet line: each with its worth, and one press away. It is gone
 * when nothing is lacking, or when it has been put away for this trip.
 */
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const goTo = useGoTo()
const { starting, startFault, startFromBikes } = useFirstBench()

/** Less than a minute is no reason to do anything. */
const leastH = 1 / 60
const mostShown = 3
const calmMs = 600

const putAway = useLocalStorage<string[]>('rag-tin.steps-put-away', [])
const mostPutAway = 100
const isPutAway = computed(() => putAway.value.includes(store.id))
const putAwayHere = () => (putAway.value = [...putAway.value, store.id].slice(-mostPutAway))

const steps = shallowRef<readonly WeighedStep[]>([])
watchDebounced(
  [() => kit.chosen, isPutAway],
  async ([chosen]) => {
    if (!chosen || isPutAway.value) return void (steps.value = [])
    const found = await kit.nextSteps()
    if (found && kit.chosen === chosen) steps.value = found
  },
  { debounce: calmMs, immediate: true },
)
/** Without stops there is nothing to weigh the others against: that comes first. */
const shown = computed(() =>
  steps.value
    .filter(({ lack, hours }) => lack.kind === 'no stops' || hours >= leastH)
    .sort((a, b) => Number(b.lack.kind === 'no stops') - Number(a.lack.kind === 'no stops'))
    .slice(0, mostShown),
)

const assumed = (bikeStarts.find(({ id }) => id === assumedKind)?.name ?? 'bike').toLowerCase()

function wordsOf({ lack, hours }: WeighedStep): string {
  const worth = `${hoursInWords(hours)} hang on it`
  switch (lack.kind) {
    case 'no stops':
      return 'no stop says what it has'
    case 'assumed bikes':
      return lack.bikes.length === 1
        ? `reckoned for a ${assumed} as the catalogue has it: ${worth}`
        : `reckoned for ${lack.bikes.length} ${assumed}s as the catalogue has them: ${worth}`
    case 'proposals':
      return `${lack.count === 1 ? 'one thing' : `${lack.count} things`} proposed by names of stops: ${worth}`
    case 'no hours':
      return `${lack.stops.length === 1 ? 'one stop has' : `${lack.stops.length} stops have`} no hours: ${worth}`
    case 'no start':
      return `no day of departure: ${worth}`
    case 'empty bench':
      return `nothing on the bench: ${hoursInWords(hours)} are lost bare-handed`
  }
}
function actionOf({ lack }: WeighedStep): string {
  switch (lack.kind) {
    case 'no stops':
      return 'go to the stops'
    case 'assumed bikes':
      return 'say which is yours'
    case 'proposals':
      return 'look at them'
    case 'no hours':
      return 'write them'
    case 'no start':
      return 'set it'
    case 'empty bench':
      return starting.value ? 'choosing …' : 'start from my bikes'
  }
}
function act({ lack }: WeighedStep) {
  switch (lack.kind) {
    case 'no stops':
      return void goTo('road', 'stops')
    case 'assumed bikes':
      return void goTo('bikes', 'kind-of-bike')
    case 'proposals':
      return void goTo('road', 'proposals')
    case 'no start':
      return void goTo('road', 'ride-start')
    case 'empty bench':
      return void startAndWeigh()
    case 'no hours': {
      const stop = store.openTrip.stops.find(({ id }) => id === lack.stops[0])
      if (!stop) return
      selection.cursorKm = stop.roadKm
      selection.stopId = stop.id
      return void goTo('road', `hours-${stop.id}`)
    }
  }
}
/** What was laid is looked at where it is weighed. */
async function startAndWeigh() {
  await startFromBikes()
  if (!startFault.value) await navigateTo(`/trips/${store.id}/weigh`)
}
</script>

<template>
  <aside
    v-if="shown.length && !isPutAway"
    aria-label="What matters most now"
    class="on-screen flex items-start gap-2 border-b border-line bg-ground px-4 py-1.5 text-sm"
  >
    <ul class="flex min-w-0 flex-1 flex-wrap gap-x-5 gap-y-0.5">
      <li v-for="step in shown" :key="step.lack.kind" class="pointer-coarse:min-h-11">
        <button
          type="button"
          class="group inline-flex items-center text-left pointer-coarse:min-h-11"
          :disabled="starting"
          @click="act(step)"
        >
          <span
            ><span class="inline-block first-letter:uppercase">{{ wordsOf(step) }};</span>{{ ' ' }}
            <span class="font-semibold text-petrol underline group-hover:no-underline">{{ actionOf(step) }}</span></span
          >
          <ChevronRight :size="14" class="shrink-0 text-petrol" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <p v-if="startFault" role="alert" class="text-madder">{{ startFault }}</p>
    <button
      type="button"
      class="shrink-0 rounded p-0.5 hover:bg-well"
      aria-label="Put this away for this trip"
      @click="putAwayHere"
    >
      <X :size="15" aria-hidden="true" />
    </button>
  </aside>
</template>
