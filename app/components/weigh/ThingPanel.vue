<script setup lang="ts">
import { shopOf } from '#core/bench'
import { formatMoney } from '#core/money'
import { nth, defined } from '#core/validation'
import { fixOf } from '#core/trip-ledger'
import type { FailureAnswer } from '#core/verdicts'
import {
  capabilitiesInWords,
  chanceInWords,
  failureInWords,
  fixInWords,
  headInWords,
  hoursInWords,
  timesInWords,
} from '#wording'
import { Pin, X } from '@lucide/vue'
import { catalogue } from '#catalogue'
import { computed, ref } from 'vue'
import { useSpares } from '../../stores/spares'
import { localeOfApp } from '../common/locale-of-app'
import ThingFlips from './ThingFlips.vue'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'

/** One thing and the failures behind its verdict; in a dialog it is the dialog that closes. */
defineProps<{ closable?: boolean }>()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { grams, stretch, massWord, handfulG, shopInWords } = useView()
const { failures, gap, worstGap } = useVerdicts()

const thing = computed(() => store.trip?.bench.find(({ id }) => id === selection.thingId))
const verdict = computed(() => kit.kit?.verdicts.find(({ item }) => item === selection.thingId))
const nameOf = (id: string) => store.trip?.bench.find((candidate) => candidate.id === id)?.name ?? id
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id

const most = 12
const showsAll = ref(false)
const accounts = computed(() => new Map((kit.kit?.balance.events ?? []).map((account) => [account.event, account])))
/** Fewer hours than this are not told, unless nothing else is. */
const leastH = 1 / 3600
const answers = computed(() => {
  const all = verdict.value?.answers ?? []
  const told = all.filter(({ lostH }) => lostH > leastH)
  return told.flatMap((answer) => {
    const [failure, account] = [failures.value.get(answer.event), accounts.value.get(answer.event)]
    if (!failure || !account) return []
    return [
      {
        answer,
        account,
        note: failure.note,
        where: gap.value ?? worstGap(failure).gap,
        hours: answer.lostH * failure.share,
      },
    ]
  })
})
/** Why it stays at home though it is worth its grams: what the kit would be beyond. */
const limits = computed(() => {
  const { massG, money } = verdict.value?.beyond ?? { massG: 0, money: 0 }
  const { currency } = store.openTrip.dials
  const beyond = [
    ...(massG > 0 ? [`weigh ${grams(massG)} more than it may`] : []),
    ...(money > 0 ? [`cost ${formatMoney(money, currency, localeOfApp)} more than you would spend`] : []),
  ]
  return beyond.length ? `A limit of yours keeps it at home: with it the kit would ${beyond.join(' and ')}. ` : ''
})
const shown = computed(() => (showsAll.value ? answers.value : answers.value.slice(0, most)))
const cautions = computed(() => {
  const fixes = new Set((verdict.value?.answers ?? []).map(({ fix }) => fix && fixOf(fix)))
  const found = catalogue.fixes.filter((fix) => fixes.has(fix.id) && fix.caution).map((fix) => fix.caution)
  return [...new Set(found)].slice(0, 3)
})

/** Where it is bought on the way, and what that means. */
const purchase = computed(() => {
  const shop = thing.value && shopOf(thing.value, store.openTrip.stops)
  const item = kit.weighed?.built.ledger.items.find(({ id }) => id === selection.thingId)
  if (!thing.value || !shop || !item) return ''
  const share = item.massG / thing.value.massG
  return `It is ${shopInWords(shop)}, and there from then on, with a chance of ${chanceInWords(item.condition)}. Its ${massWord.value} count for the ${chanceInWords(share)} of the road that is left.`
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
/** Fixes that would use the thing, were there not a bolt that nothing on the bench turns. */
const stuck = computed(() => {
  const units = Object.keys(thing.value?.units ?? {})
  const lines = (kit.weighed?.built.stuck ?? []).flatMap(({ fix, bike, fasteners }) => {
    const uses = Object.keys(catalogue.fixes.find(({ id }) => id === fix)?.uses ?? {})
    if (!uses.some((template) => units.some((id) => id.startsWith(nth(template.split('{'), 0))))) return []
    const bolts = fasteners.map(({ name }) => name.toLowerCase()).join(', ')
    return [`${fixInWords(fix, catalogue)} (${bikeName(bike)}: nothing turns ${bolts})`]
  })
  return [...new Set(lines)]
})

function instead(answer: FailureAnswer): string {
  if (!answer.instead) return 'nothing takes its place'
  const items = answer.instead.items.filter((id) => id !== selection.thingId).map(nameOf)
  return `else: ${fixInWords(answer.instead.fix, catalogue)}${items.length ? ` (${items.slice(0, 2).join(', ')})` : ''}`
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
        Without it <strong>{{ hoursInWords(verdict.lostH) }}</strong> more would be lost,
        {{ hoursInWords(verdict.lostWalkH) }} of it on foot; it spares
        <strong>{{ hoursInWords((verdict.minutesPer100g / 60) * (handfulG / 100)) }}</strong> for each
        {{ grams(handfulG) }}.
        <template v-if="verdict.lastOneH !== null">
          The last one of {{ verdict.n }} is worth {{ hoursInWords(verdict.lastOneH) }}.</template
        >
      </template>
      <template v-else-if="verdict.lostH > leastH">
        It would spare <strong>{{ hoursInWords(verdict.lostH) }}</strong>{{
          verdict.lostH < verdict.priceH ? `, less than its ${massWord} cost` : ''
        }}<template v-if="verdict.together.length"
          >, and that only with {{ verdict.together.map(nameOf).join(' and ') }}</template
        >.
        <template v-if="limits">{{ limits }}</template>
        <template v-if="verdict.keptHome.length"
          >A pin of yours keeps {{ verdict.keptHome.map(nameOf).join(' and ') }} at home.</template
        >
      </template>
      <template v-else>The kit answers all that it answers as well without it.</template>
      <template v-if="verdict.pinned"> The verdict is pinned by you.</template>
    </p>
    <p v-if="purchase" class="mt-2 text-sm">{{ purchase }}</p>

    <ul v-if="unfit.length" class="mt-2 text-sm" aria-label="Which bikes it does not serve">
      <li
        v-for="line in unfit"
        :key="line.bike + line.words"
        class="border-l-4 pl-2"
        :class="line.verdict === 'doubtful' ? 'border-brass' : 'border-lacking'"
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
    <p v-for="line in stuck" :key="line" class="mt-2 border-l-4 border-lacking pl-2 text-sm">
      Cannot be used yet: {{ line }}
    </p>

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

    <template v-if="answers.length">
      <h3 class="mt-4 flex justify-between border-b border-line pb-1 text-xs font-semibold text-soft">
        <span>what happens</span><span>{{ verdict.verdict === 'take' ? 'lost without it' : 'it would spare' }}</span>
      </h3>
      <ul>
        <li
          v-for="{ answer, account, note, where, hours } in shown"
          :key="answer.event"
          class="grid grid-cols-[1fr_auto] gap-2 border-b border-line py-1.5 text-sm"
        >
          <span>
            {{ failureInWords(note, catalogue, store.trip?.bikes ?? []) }}
            <span class="block text-xs text-soft"
              >{{ bikeName(note.bike) }}<template v-if="where">, worst {{ stretch(where.fromKm, where.toKm) }}</template
              >; {{ timesInWords(account.expected) }},
              {{ hoursInWords(account.bare.hours / account.expected) }} each</span
            >
            <span class="block text-xs" :class="answer.instead ? 'text-soft' : 'text-lacking'">{{
              instead(answer)
            }}</span>
          </span>
          <span class="figures font-semibold text-petrol">{{ hoursInWords(hours) }}</span>
        </li>
      </ul>
      <button v-if="answers.length > most" type="button" class="mt-1 text-sm underline" @click="showsAll = !showsAll">
        {{ showsAll ? 'Show the largest only' : `Show all ${answers.length}` }}
      </button>
    </template>

    <ThingFlips v-if="verdict.flip.gramsPerHour !== null" :verdict="verdict" />
    <p v-for="caution in cautions" :key="caution" class="mt-2 border-l-4 border-brass pl-2 text-xs">{{ caution }}</p>
    <p v-if="cautions.length" class="mt-1 pl-3 text-xs text-soft">
      The maker’s manual, local law and a qualified mechanic come first.
    </p>
  </section>
</template>
