<script setup lang="ts">
import { traitsOf, wholeBike } from '#core/bike'
import { bikeFactor, treadFactor } from '#core/hazard'
import { fixValues, hazardValues, type PlanningKind } from '#core/reference'
import { bikesAtDeparture, fixOf } from '#core/trip-ledger'
import type { EventAccount } from '#core/verdicts'
import { catalogue } from '#catalogue'
import { classInWords, fixInWords, hoursInWords, timesInWords } from '#wording'
import { computed } from 'vue'
import type { Failure } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useTripStore } from '../../stores/trip'
import TermHint from '../common/TermHint.vue'
import PlanningField from './PlanningField.vue'

/** One kind of failure on one bike: what its numbers are made of, and what becomes of it with the kit. */
const props = defineProps<{ account: EventAccount; failure: Failure }>()
const store = useTripStore()
const { climbRate, system } = useView()

const note = computed(() => props.failure.note)
const hazard = computed(() => catalogue.hazards.find(({ id }) => id === note.value.hazard))
const bike = computed(() => bikesAtDeparture(store.openTrip, catalogue).find(({ id }) => id === note.value.bike))
const tyre = computed(
  () => bike.value && (note.value.wheel ? bike.value.tyres[note.value.wheel] : wholeBike(bike.value).tyre),
)
const traits = computed(() => bike.value && tyre.value && traitsOf(bike.value, tyre.value))
/** How many times as often as the planning value says, by this bike and by this road. */
const times = computed(() => {
  const km = props.failure.stakes.at(-1)?.toKm ?? 0
  const weightedKm = note.value.exposure.weightedKm.reduce((sum, each) => sum + each, 0)
  const tread = hazard.value && tyre.value ? treadFactor(hazard.value, tyre.value.treadLeft) : 1
  return {
    bike: hazard.value && traits.value && tyre.value ? bikeFactor(hazard.value, traits.value, tyre.value.treadLeft) : 1,
    road: km > 0 ? weightedKm / km : 1,
    because: [
      ...(hazard.value?.onBike ?? [])
        .filter(({ when }) => traits.value?.has(when))
        .map(({ when, times: factor }) => `${when.replaceAll('-', ' ')} × ${factor}`),
      ...(tread > 1 ? [`worn tread × ${Number(tread.toPrecision(3))}`] : []),
    ],
    onRoad: (hazard.value?.onRoad ?? []).map(({ when, times: factor }) => `${when} × ${factor}`),
    byDescent: hazard.value?.byDescent,
  }
})
const mended = computed(() => {
  const byFix = new Map<string, number>()
  for (const { fix, times: often } of props.account.mended) byFix.set(fixOf(fix), (byFix.get(fixOf(fix)) ?? 0) + often)
  // One in two hundred is the least that is told.
  return [...byFix]
    .map(([fix, often]) => ({ fix, share: often / props.account.expected }))
    .filter(({ share }) => share >= 0.005)
})
const shareInWords = (share: number) => `${Math.round(100 * share)} in 100`
const unmended = computed(() => Math.max(0, 1 - mended.value.reduce((sum, { share }) => sum + share, 0)))
const labels = computed<Record<PlanningKind, string>>(() => ({
  per1000km: system.value === 'imperial' ? 'Failures in 1000 km (621 mi)' : 'Failures in 1000 km',
  lifeKm: 'A new one lasts',
  stops: 'The bike cannot be ridden in',
  limpShare: 'Ridden otherwise, slower by',
  holds: 'holds in',
  lastsKm: 'then lasts',
  minutes: 'takes',
  hands: '',
  works: '',
  awkward: '',
  fetch: '',
  uneven: '',
  dig: '',
  unwrap: '',
  days: '',
  keptDays: '',
  unchecked: '',
  untried: '',
  hurry: '',
  high: '',
  tapeG: '',
  bagG: '',
  price: '',
  sealedY: '',
  openedY: '',
}))
const values = computed(() => (hazard.value ? hazardValues(hazard.value) : []))
const fixesHere = computed(() =>
  mended.value.flatMap(({ fix }) => {
    const known = catalogue.fixes.find(({ id }) => id === fix)
    return known ? [{ known, values: fixValues(known) }] : []
  }),
)
</script>

<template>
  <div class="grid gap-x-6 gap-y-3 bg-ground px-4 py-3 text-sm md:grid-cols-2">
    <div>
      <p>
        <strong>{{ timesInWords(account.expected) }}</strong>, each
        {{ hoursInWords(account.bare.hours / account.expected) }} <TermHint term="bare-handed" />,
        {{ hoursInWords(account.bare.walkH / account.expected) }} of it on foot. With the kit
        <strong>{{ hoursInWords(account.kept.hours / account.expected) }}</strong> each.
      </p>
      <p class="mt-1 text-xs text-soft">
        This bike: × {{ Number(times.bike.toPrecision(3))
        }}<template v-if="times.because.length"> ({{ times.because.join(', ') }})</template>. This road: ×
        {{ Number(times.road.toPrecision(3))
        }}<template v-if="times.onRoad.length"> (where it is {{ times.onRoad.join(', ') }})</template
        ><template v-if="times.byDescent"
          >; {{ shareInWords(times.byDescent.share) }} of it goes by what one descends,
          {{ climbRate(times.byDescent.mPerKm) }} being usual</template
        >.
      </p>
      <p class="mt-1 text-xs text-soft">
        Settled for good by {{ note.settledBy.map((id) => classInWords(id, catalogue.families)).join(', or ') }}.
      </p>
      <h3 class="mt-2 text-xs font-semibold text-soft">What becomes of it</h3>
      <ul>
        <li v-for="{ fix, share } in mended" :key="fix" class="flex justify-between gap-3">
          <span>{{ fixInWords(fix, catalogue) }}</span><span class="figures">{{ shareInWords(share) }}</span>
        </li>
        <li class="flex justify-between gap-3 text-lacking">
          <span>nothing mends it</span><span class="figures">{{ shareInWords(unmended) }}</span>
        </li>
      </ul>
      <p v-if="hazard?.caution" class="mt-2 border-l-4 border-brass pl-2 text-xs">
        {{ hazard.caution }} The maker’s manual, local law and a qualified mechanic come first.
      </p>
    </div>
    <div>
      <div class="grid grid-cols-2 gap-3">
        <PlanningField v-for="value in values" :key="value.key" :value="value" :label="labels[value.kind]" />
      </div>
      <div v-for="{ known, values: own } in fixesHere" :key="known.id" class="mt-2">
        <h3 class="text-xs font-semibold text-soft">{{ known.name }}</h3>
        <div class="grid grid-cols-2 gap-3">
          <PlanningField v-for="value in own" :key="value.key" :value="value" :label="labels[value.kind]" />
        </div>
      </div>
      <p class="mt-2 text-xs text-soft">{{ hazard?.source ?? 'planning value' }}, from memory; for this trip only.</p>
    </div>
  </div>
</template>
