<script setup lang="ts">
import { leastLostH } from '#core/bound'
import { bestAtPrice, heaviestUpTo, lightestAtRisk } from '#core/frontier'
import { chanceInWords, hoursInWords } from '#wording'
import { computed, onUnmounted, ref, watch } from 'vue'
import { walkRows } from '../../composables/walkRows'
import { useFrontier } from '../../stores/frontier'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import MeasureField from '../common/MeasureField.vue'
import FrontierChart from './FrontierChart.vue'

/** The best kit for each mass, from nothing to everything: one walks along it and sees what comes and what goes. */
const store = useTripStore()
const kitStore = useKitStore()
const frontier = useFrontier()
const { grams } = useView()
frontier.watchLedger()
onUnmounted(() => frontier.stopProving())

const kits = computed(() => frontier.kits)
const plainKits = computed(() => kits.value.map(({ kit }) => kit))
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
  return price ? bestAtPrice(plainKits.value, price) : -1
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

/** With arrows one walks from kit to kit, and looks at each. */
function walk(event: KeyboardEvent) {
  walkRows(event, '[data-pick]')
  const at = document.activeElement
  if (event.defaultPrevented && at instanceof HTMLElement && at.dataset.pick) pick(Number(at.dataset.pick))
}

/** The kit that is looked at, by its three readings: grams, grams for an hour, the chance of being stranded. */
const reading = computed(() => kits.value[picked.value]?.kit)
const isNone = ref(false)
/** Looks at the kit that was found, if one was. */
function pickFound(index: number) {
  isNone.value = index < 0
  pick(index)
}

/** Kits at whose price something can be proved. */
const provable = computed(() => kits.value.filter(({ kit }) => kit.gramsPerHour > 0).length)
/** How far the kits are from the bound at most, in words. */
const shortOf = computed(() => {
  const offH = kits.value.map(({ kit }) => kit.promiseH - leastLostH(frontier.lines, kit.massG))
  return `Proved: of none of these masses does any kit lose more than ${hoursInWords(Math.max(0, ...offH))} less.`
})

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
      <FrontierChart class="mt-3" :kits="plainKits" :now="now" :picked="picked" :lines="frontier.lines" @pick="pick" />
      <p class="mt-2 flex min-h-8 flex-wrap items-center gap-3 text-sm text-soft">
        <template v-if="frontier.isProving"
          ><span role="status">Proving how low it could lie: {{ frontier.lines.length }} of {{ provable }} …</span>
          <button type="button" class="button min-h-7!" @click="frontier.stopProving()">Stop</button></template
        >
        <template v-else-if="frontier.lines.length">{{ shortOf }}</template>
        <button
          v-else-if="!frontier.isBusy && provable"
          type="button"
          class="button min-h-7!"
          @click="frontier.prove()"
        >
          Prove how low it could lie
        </button>
      </p>
      <fieldset class="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
        <legend class="sr-only">Find a kit by one of three readings</legend>
        <MeasureField
          class="w-36"
          label="Carry at most"
          :model-value="reading?.massG ?? null"
          amount="mass"
          :most="100000"
          allow-none
          @update:model-value="$event !== null && pickFound(heaviestUpTo(plainKits, $event))"
        />
        <MeasureField
          class="w-36"
          label="An hour is worth"
          :model-value="reading && reading.gramsPerHour > 0 ? Math.round(reading.gramsPerHour) : null"
          amount="mass"
          :most="100000"
          allow-none
          @update:model-value="$event !== null && pickFound(bestAtPrice(plainKits, $event))"
        />
        <MeasureField
          class="w-36"
          label="Stranded at most"
          :model-value="reading?.stranded ?? null"
          amount="share"
          :most="1"
          allow-none
          @update:model-value="$event !== null && pickFound(lightestAtRisk(plainKits, $event))"
        />
        <p v-if="isNone" role="status" class="text-sm text-madder">No kit of this bench does that.</p>
      </fieldset>
      <p
        class="mt-4 grid grid-cols-[5rem_5rem_5rem_1fr] gap-x-3 px-2 pb-1 text-xs text-soft max-sm:grid-cols-3"
        aria-hidden="true"
      >
        <span>carried</span><span>lost</span><span>stranded</span
        ><span class="max-sm:hidden">beside the next lighter one</span>
      </p>
      <ol class="border-t border-line" aria-label="The best kits by mass" @keydown="walk">
        <li
          v-for="(each, i) in kits"
          :key="each.kit.counts.join()"
          class="border-b border-line"
          :class="i === picked ? 'bg-petrol-wash' : ''"
        >
          <button
            type="button"
            :data-pick="i"
            class="grid w-full grid-cols-[5rem_5rem_5rem_1fr] items-baseline gap-x-3 px-2 py-2 text-left text-sm max-sm:grid-cols-3 pointer-coarse:min-h-11"
            :aria-expanded="i === picked"
            :tabindex="i === Math.max(0, picked) ? 0 : -1"
            @click="pick(i)"
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
