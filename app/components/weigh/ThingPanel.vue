<script setup lang="ts">
import { nth, defined } from '#core/validation'
import { fixOfAnswer, type BreakEven, type ItemClaim } from '#core/choose'
import { headInWords, capabilitiesInWords, claimInWords, fixInWords, chanceInWords, hoursInWords } from '#wording'
import { Pin, X } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { computed, ref, shallowRef, watch } from 'vue'
import { useSpares } from '../../stores/spares'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import MissingTools from './MissingTools.vue'

/** One thing and the claims behind its verdict; in a dialog it is the dialog that closes. */
defineProps<{ closable?: boolean }>()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { grams, stretch } = useView()
const { notes } = useVerdicts()

const thing = computed(() => store.trip?.bench.find(({ id }) => id === selection.thingId))
const verdict = computed(() => kit.analysis?.kit?.verdicts.find(({ item }) => item === selection.thingId))
const nameOf = (id: string) => store.trip?.bench.find((candidate) => candidate.id === id)?.name ?? id
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id

const most = 12
const showsAll = ref(false)
const claims = computed(() => {
  const list = verdict.value?.claims ?? []
  return (showsAll.value ? list : list.slice(0, most)).flatMap((claim) => {
    const note = notes.value.get(claim.claim)
    const entry = ledgerClaim(claim.claim)
    return note && entry ? [{ claim, note, probability: entry.probability, lossH: entry.lossH }] : []
  })
})
function ledgerClaim(id: string) {
  return kit.analysis?.built?.ledger.claims.find((claim) => claim.id === id)
}
const cautions = computed(() => {
  const fixes = new Set((verdict.value?.claims ?? []).map(({ fix }) => fix && fixOfAnswer(fix)))
  const found = catalogue.fixes.filter((fix) => fixes.has(fix.id) && fix.caution).map((fix) => fix.caution)
  return [...new Set(found)].slice(0, 3)
})

const { linesFor, misfitsOf, servesNone } = useSpares()
/** Doubts, and why it does not fit where one would think it does; that it is made for another bike needs no words. */
const unfit = computed(() => {
  if (!thing.value) return []
  const lines = linesFor(thing.value)
  if (servesNone(thing.value)) return lines
  return [...misfitsOf(thing.value), ...lines.filter((line) => line.verdict === 'doubtful')]
})
const idle = computed(() => kit.analysis?.fit.idle[selection.thingId] ?? [])
/** Fixes that would use the thing, were there not a bolt that nothing turns. */
const stuck = computed(() => {
  const units = Object.keys(thing.value?.units ?? {})
  return (kit.analysis?.built?.stuck ?? []).filter(({ fix }) => {
    const uses = Object.keys(catalogue.fixes.find(({ id }) => id === fix)?.uses ?? {})
    return uses.some((template) => units.some((id) => id.startsWith(nth(template.split('{'), 0))))
  })
})

const breakEven = shallowRef<BreakEven | null>()
watch(
  [() => selection.thingId, () => kit.analysis],
  async ([id]) => {
    breakEven.value = undefined
    if (!id || !verdict.value) return
    const answer = await kit.breakEven(id)
    if (selection.thingId === id) breakEven.value = answer
  },
  { immediate: true },
)

function instead(claim: ItemClaim): string {
  if (!claim.instead) return 'nothing else answers it'
  const items = claim.instead.items.filter((id) => id !== selection.thingId).map(nameOf)
  return `else: ${fixInWords(claim.instead.fix, catalogue)}${items.length ? ` (${items.slice(0, 2).join(', ')})` : ''}`
}

function setPin(min: number, max: number) {
  const bench = store.openTrip.bench.map((item) =>
    item.id === selection.thingId ? { ...item, pin: { min, max } } : item,
  )
  store.edit(`pin ${defined(thing.value).name}`, { bench })
}
function unpin() {
  const bench = store.openTrip.bench.map((item) => (item.id === selection.thingId ? { ...item, pin: null } : item))
  store.edit(`unpin ${defined(thing.value).name}`, { bench })
}
</script>

<template>
  <section
    v-if="thing && verdict"
    aria-labelledby="thing-title"
    class="px-4 py-3"
    :class="{ 'border-t-2 border-ink': closable }"
  >
    <div class="flex items-start gap-2">
      <div class="min-w-0 flex-1">
        <h2 id="thing-title" class="text-base break-words">
          {{ thing.name }}{{ verdict.n > 1 ? `: ${verdict.n}` : '' }}
        </h2>
        <p class="text-xs text-soft">
          {{ capabilitiesInWords(thing, catalogue).join(' · ') || 'does nothing in the ledger yet' }}
        </p>
      </div>
      <span class="figures text-sm font-semibold">{{ grams(thing.massG * Math.max(1, verdict.n)) }}</span>
      <button
        v-if="closable"
        type="button"
        class="button button-bare -mr-2 -mt-1 min-h-7!"
        aria-label="Close"
        @click="selection.thingId = ''"
      >
        <X :size="16" aria-hidden="true" />
      </button>
    </div>

    <p class="mt-2 text-sm">
      <template v-if="verdict.verdict === 'take'">
        Without it <strong>{{ hoursInWords(verdict.lostH) }}</strong> more on foot; it spares
        <strong>{{ hoursInWords(verdict.minutesPer100g / 60) }}</strong> for each 100 g.
        <template v-if="verdict.lastOneH !== null">
          The last one of {{ verdict.n }} is worth {{ hoursInWords(verdict.lastOneH) }}.</template
        >
      </template>
      <template v-else-if="verdict.lostH > 0">
        It would spare <strong>{{ hoursInWords(verdict.lostH) }}</strong>, less than its grams cost<template
          v-if="verdict.together.length"
          >, and that only with {{ verdict.together.map(nameOf).join(' and ') }}</template
        >.
      </template>
      <template v-else>It answers nothing that the kit does not answer as well.</template>
      <template v-if="verdict.pinned"> The verdict is pinned by you.</template>
    </p>

    <ul v-if="unfit.length" class="mt-2 text-sm" aria-label="Which bikes it does not serve">
      <li
        v-for="line in unfit"
        :key="line.bike + line.words"
        class="border-l-4 pl-2"
        :class="line.verdict === 'doubtful' ? 'border-brass' : 'border-madder'"
      >
        <strong>{{ line.verdict }}</strong> on {{ line.bike }}: {{ line.words }}
      </li>
    </ul>
    <p v-if="idle.length" class="mt-2 border-l-4 border-brass pl-2 text-sm">
      {{
        idle.length === thing.heads.length
          ? 'Turns nothing on any bike here.'
          : `Turns nothing here: ${idle.map(headInWords).join(', ')}.`
      }}
    </p>
    <MissingTools v-if="stuck.length" class="mt-2" :stuck="stuck" />

    <div class="mt-2 flex flex-wrap items-center gap-1.5">
      <button v-if="verdict.pinned" type="button" class="button" @click="unpin">
        <Pin :size="14" aria-hidden="true" />Unpin
      </button>
      <template v-else>
        <button type="button" class="button" @click="setPin(Math.max(1, verdict.n), thing.count)">
          <Pin :size="14" aria-hidden="true" />Always take
        </button>
        <button type="button" class="button" @click="setPin(0, 0)">Always leave</button>
      </template>
    </div>

    <template v-if="claims.length">
      <h3 class="mt-4 flex justify-between border-b border-line pb-1 text-xs font-semibold text-soft">
        <span>chance · what happens</span
        ><span>{{ verdict.verdict === 'take' ? 'on foot without it' : 'it would spare' }}</span>
      </h3>
      <ul>
        <li
          v-for="{ claim, note, probability, lossH } in claims"
          :key="claim.claim"
          class="grid grid-cols-[3.4rem_1fr_auto] gap-2 border-b border-line py-1.5 text-sm"
        >
          <span class="figures font-semibold">{{ chanceInWords(probability) }}</span>
          <span>
            {{ claimInWords(note, catalogue) }}
            <span class="block text-xs text-soft"
              >{{ bikeName(note.bike) }}, {{ stretch(note.gap.fromKm, note.gap.toKm) }}, {{ hoursInWords(lossH) }} at
              risk</span
            >
            <span class="block text-xs" :class="claim.instead ? 'text-soft' : 'text-madder'">{{ instead(claim) }}</span>
          </span>
          <span class="figures font-semibold text-petrol">{{ hoursInWords(claim.lostH) }}</span>
        </li>
      </ul>
      <button
        v-if="(verdict.claims.length ?? 0) > most"
        type="button"
        class="mt-1 text-sm underline"
        @click="showsAll = !showsAll"
      >
        {{ showsAll ? 'Show the largest only' : `Show all ${verdict.claims.length}` }}
      </button>
    </template>

    <p v-if="breakEven" class="mt-3 text-sm text-soft">
      <template v-if="breakEven.gramsPerHour === null">No dial makes it come along.</template>
      <template v-else-if="verdict.verdict === 'take'"
        >It stays at home where an hour is worth less than about
        <strong class="text-ink">{{ grams(breakEven.gramsPerHour) }}</strong><template v-if="breakEven.massG !== null"
          >, or where one weighs more than about
          <strong class="text-ink">{{ grams(breakEven.massG) }}</strong></template
        >.</template
      >
      <template v-else
        >It comes along where an hour is worth about
        <strong class="text-ink">{{ grams(breakEven.gramsPerHour) }}</strong><template v-if="breakEven.massG !== null"
          >, or where it weighs no more than about
          <strong class="text-ink">{{ grams(breakEven.massG) }}</strong></template
        >.</template
      >
    </p>
    <p v-for="caution in cautions" :key="caution" class="mt-2 border-l-4 border-brass pl-2 text-xs">{{ caution }}</p>
    <p v-if="cautions.length" class="mt-1 pl-3 text-xs text-soft">
      The maker’s manual, local law and a qualified mechanic come first.
    </p>
  </section>
</template>
