<script setup lang="ts">
import { chanceInWords, hoursInWords } from '#wording'
import { computed, ref, watch } from 'vue'
import { walkRows } from '../../composables/walkRows'
import { useFrontier } from '../../stores/frontier'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import FrontierChart from './FrontierChart.vue'

/** The best kit for each mass, from nothing to everything: one walks along it and sees what comes and what goes. */
const store = useTripStore()
const kitStore = useKitStore()
const frontier = useFrontier()
const { grams } = useView()
frontier.watchLedger()

const kits = computed(() => frontier.kits)
const now = computed(() => kitStore.chosen?.kit ?? undefined)
const keyOf = ({ counts }: { readonly counts: readonly number[] }) => counts.join()
/** The kit that is looked at, by what it has: it stays in sight while others are found. Until one is picked, that of the trip. */
const pickedKey = ref<string>()
const picked = computed(() => {
  const key = pickedKey.value ?? (now.value && keyOf(now.value))
  const same = kits.value.findIndex(({ kit }) => keyOf(kit) === key)
  return same >= 0 ? same : frontier.isBusy ? -1 : cheapest.value
})
/** The best of them at the price of the trip. */
const cheapest = computed(() => {
  const price = store.trip?.dials.gramsPerHour ?? kitStore.chosen?.built.ledger.gramsPerHour
  if (!price) return -1
  const costsH = kits.value.map(({ kit: { promiseH, massG } }) => promiseH + massG / price)
  return costsH.indexOf(Math.min(...costsH))
})
function pick(index: number) {
  const step = kits.value[index]
  if (step) pickedKey.value = keyOf(step.kit)
}
watch(
  () => store.trip?.dials.gramsPerHour,
  () => (pickedKey.value = undefined),
)

type KitStep = (typeof frontier.kits)[number]
function nameOf(item: number): string {
  const id = frontier.idOf(item)
  return store.openTrip.bench.find((thing) => thing.id === id)?.name ?? id
}
const inWords = (pieces: KitStep['comes']) =>
  pieces.map(({ item, count }) => (count > 1 ? `${count} × ${nameOf(item)}` : nameOf(item))).join(' · ')

/** What a kit has beside the next lighter one. */
function whatComes({ kit, comes, goes }: KitStep, i: number): string {
  if (i === 0) return kit.massG === 0 ? 'nothing carried' : inWords(comes)
  return [`and ${inWords(comes)}`, ...(goes.length ? [`without ${inWords(goes)}`] : [])].join('; ')
}

function setDial({ kit }: KitStep) {
  store.edit('turn the dial', { dials: { ...store.openTrip.dials, gramsPerHour: kit.gramsPerHour } }, 'dial')
}
</script>

<template>
  <div class="p-4">
    <p class="max-w-prose text-sm text-soft">
      The least that any kit of your bench loses, for each mass, whatever is pinned and however much the kit may weigh.
      What is left of the curve is grams that spare little.
    </p>
    <p v-if="frontier.isBusy" role="status" class="mt-2 text-sm text-soft">
      Looking for the best kit of each mass: {{ kits.length }} so far …
    </p>
    <template v-if="kits.length">
      <FrontierChart class="mt-3" :kits="kits.map(({ kit }) => kit)" :now="now" :picked="picked" @pick="pick" />
      <p
        class="mt-4 grid grid-cols-[5rem_5rem_5rem_1fr] gap-x-3 px-2 pb-1 text-xs text-soft max-sm:grid-cols-3"
        aria-hidden="true"
      >
        <span>carried</span><span>lost</span><span>stranded</span
        ><span class="max-sm:hidden">beside the next lighter one</span>
      </p>
      <ol class="border-t border-line" aria-label="The best kits by mass" @keydown="walkRows($event, '[data-pick]')">
        <li
          v-for="(each, i) in kits"
          :key="each.kit.counts.join()"
          class="border-b border-line"
          :class="i === picked ? 'bg-petrol-wash' : ''"
        >
          <button
            type="button"
            data-pick
            class="grid w-full grid-cols-[5rem_5rem_5rem_1fr] items-baseline gap-x-3 px-2 py-2 text-left text-sm max-sm:grid-cols-3 pointer-coarse:min-h-11"
            :aria-expanded="i === picked"
            @click="pick(i)"
            @focus="pick(i)"
          >
            <span class="figures text-base font-semibold">{{ grams(each.kit.massG) }}</span>
            <span
              ><span class="figures">{{ hoursInWords(each.kit.promiseH) }}</span>
              <span class="sr-only">lost</span></span
            >
            <span
              ><span class="figures">{{ chanceInWords(each.kit.stranded) }}</span>
              <span class="sr-only">stranded</span></span
            >
            <span class="min-w-0 break-words max-sm:col-span-3">{{ whatComes(each, i) }}</span>
          </button>
          <p
            v-if="i === picked && each.kit.gramsPerHour > 0"
            class="flex flex-wrap items-center gap-3 px-2 pb-2 text-sm"
          >
            <span class="text-soft">the best where an hour lost is worth about {{ grams(each.kit.gramsPerHour) }}</span>
            <button type="button" class="button" @click="setDial(each)">Set the dial to it</button>
          </p>
        </li>
      </ol>
      <p class="mt-2 max-w-prose text-xs text-soft">
        Kits between two of these are the best at no price of a gram. Reckoned from planning values.
      </p>
    </template>
  </div>
</template>
