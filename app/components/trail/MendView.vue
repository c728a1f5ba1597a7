<script setup lang="ts">
import { catalogue } from '#catalogue'
import { cautionsOf } from '#core/fix'
import { waysLeft, type Outcome, type Taken, type WayAtHand, type WouldMend } from '#core/trail'
import { fixOf } from '#core/trip-ledger'
import { amountOfClassInWords, failureInWords, fixInWords, gradeWords, hoursInWords } from '#wording'
import { computed, ref, shallowRef, watch } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { Answer, Here, Place } from '../../workers/trail-guide'
import FaultLines from '../common/FaultLines.vue'
import OrElse from './OrElse.vue'

/** The one thing to do about a failure, with where each tool is; what comes next if it fails, and what else there is. */
const props = defineProps<{ place: Place; here: Here | undefined }>()
const store = useTripStore()
const trail = useTrail()
const edits = useTrailEdits()
const { failing, isStranger, see } = useTrailSight()
const { km } = useView()

const answer = shallowRef<Answer>()
const lines = ref<string[]>([])
const chosen = ref('')
const showsWays = ref(false)
const lacking = shallowRef<readonly WouldMend[]>()
const isAsking = ref(false)
/** When the work on the way that is shown was begun. */
const begun = ref(Date.now())

watch(
  [() => props.place, () => JSON.stringify(failing.value)],
  async () => {
    const asked = failing.value
    if (!asked) return
    lines.value = []
    try {
      const found = await trail.answerTo(asked)
      if (asked === failing.value) answer.value = found
    } catch (error) {
      lines.value = [error instanceof Error ? error.message : String(error)]
    }
  },
  { immediate: true },
)
watch(
  () => JSON.stringify(failing.value),
  () => {
    chosen.value = ''
    answer.value = lacking.value = undefined
    begun.value = Date.now()
  },
)

const open = computed(() => failing.value && edits.openFailureOf(failing.value, isStranger.value))
const ways = computed(() => answer.value?.now.ways ?? [])
const next = computed(() => waysLeft(ways.value, open.value?.tries ?? []))
const way = computed(() => ways.value.find(({ fix }) => fix === chosen.value) ?? next.value[0])
const after = computed(() => next.value.find((each) => each !== way.value))
const fix = computed(() => catalogue.fixes.find(({ id }) => way.value && id === fixOf(way.value.fix)))

const nameOf = (thing: string) => props.place.things.find(({ id }) => id === thing)?.name ?? thing
function whereIs(thing: string): string {
  const pieces = props.place.left.filter((each) => each.thing === thing && props.place.present.includes(each.rider))
  const mine = pieces.find(({ rider }) => rider === edits.me.value) ?? pieces[0]
  if (!mine) return ''
  const rider = store.openTrip.crew.find(({ id }) => id === mine.rider)?.name ?? ''
  const whose = props.place.present.length > 1 ? rider : ''
  return [mine.bags.join(', '), whose].filter((word) => word !== '').join(' · ')
}
const leftOf = ({ thing, stock }: Taken) =>
  stock === null
    ? 0
    : props.place.left.reduce((sum, each) => (each.thing === thing ? sum + (each.amounts[stock] ?? 0) : sum), 0)
/** Each thing once, what is used up of it with it. */
const takes = computed(() =>
  [...new Map((way.value?.takes ?? []).map((taken) => [taken.thing, taken])).values()].map((taken) => {
    const used = way.value?.takes.find(({ thing, amount }) => thing === taken.thing && amount !== null)
    const before = used ? leftOf(used) : 0
    const words =
      used?.stock != null && used.amount !== null
        ? `${amountOfClassInWords(used.amount, used.stock, catalogue.families)} of ${amountOfClassInWords(before, used.stock, catalogue.families)}`
        : ''
    return { thing: taken.thing, name: nameOf(taken.thing), where: whereIs(taken.thing), words }
  }),
)
const percent = (chance: number) => `${Math.round(100 * chance)} %`
const title = computed(() => (fix.value ? fixInWords(way.value?.fix ?? '', catalogue) : ''))
const what = computed(() => answer.value && failureInWords(answer.value.now.note, catalogue, store.openTrip.bikes))

/** Longer than this nobody works at one thing without a rest. */
const mostMinutes = 8 * 60
function say(outcome: Outcome) {
  if (!way.value || !failing.value) return
  const minutes = Math.round((Date.now() - begun.value) / 60_000)
  const took = minutes >= 1 && minutes <= mostMinutes ? minutes : null
  edits.tried(failing.value, isStranger.value, way.value, outcome, took)
  chosen.value = ''
  begun.value = Date.now()
  if (outcome === 'held') void see('here')
}
function choose(each: WayAtHand) {
  chosen.value = each.fix
  showsWays.value = false
  begun.value = Date.now()
}
async function askWhatWouldMend() {
  if (!failing.value || !answer.value) return
  isAsking.value = true
  try {
    lacking.value = await trail.wouldMend(failing.value, answer.value)
  } catch (error) {
    lines.value = [error instanceof Error ? error.message : String(error)]
  }
  isAsking.value = false
}
const itemName = (id: string) => catalogue.items.find((item) => item.id === id)?.name ?? id
const riderName = (id: string) => store.openTrip.crew.find((rider) => rider.id === id)?.name ?? id
</script>

<template>
  <div class="px-4 pb-4 pt-3">
    <FaultLines v-if="lines.length" :lines="lines" />
    <p v-else-if="!answer" role="status" class="text-base text-soft">Looking …</p>
    <template v-else>
      <p class="text-base text-soft first-letter:uppercase">{{ what }}</p>

      <div
        v-for="wait in answer.waiting"
        :key="wait.rider"
        class="mb-2 mt-1 rounded bg-brass-wash px-3 py-2 text-base text-ink"
      >
        <strong>Wait for {{ riderName(wait.rider) }}</strong
        >, {{ hoursInWords(wait.hoursOff) }} off: it spares {{ hoursInWords(wait.sparesH) }} more.
        <template v-if="wait.theirs.length">They have: {{ wait.theirs.map(nameOf).join(', ') }}.</template>
        <template v-else>Their hands make the difference.</template>
      </div>

      <template v-if="way && fix">
        <h1 class="text-2xl first-letter:uppercase" data-first-way>{{ title }}</h1>
        <dl class="mt-2 grid grid-cols-3 gap-2">
          <div class="flex flex-col-reverse justify-end">
            <dt class="text-sm text-soft">of work</dt>
            <dd class="figures text-xl font-bold">{{ hoursInWords(way.workH) }}</dd>
          </div>
          <div class="flex flex-col-reverse justify-end">
            <dt class="text-sm text-soft">works out</dt>
            <dd class="figures text-xl font-bold">{{ percent(way.hands * way.holds) }}</dd>
          </div>
          <div class="flex flex-col-reverse justify-end">
            <dt class="text-sm text-soft">it holds</dt>
            <dd class="text-base font-bold">{{ gradeWords[fix.grade] }}</dd>
          </div>
        </dl>

        <ul
          v-if="cautionsOf(fix).length"
          class="mt-3 space-y-1 border-l-4 border-madder bg-madder-wash px-3 py-2 text-base text-ink"
          aria-label="Mind"
        >
          <li v-for="caution in cautionsOf(fix)" :key="caution">{{ caution }}</li>
        </ul>

        <section v-if="takes.length" class="mt-3" aria-labelledby="takes-title">
          <h2 id="takes-title" class="text-base">Take</h2>
          <ul>
            <li v-for="take in takes" :key="take.thing" class="border-b border-line py-1.5 text-base">
              <span class="font-semibold">{{ take.name }}</span><span v-if="take.words">, {{ take.words }}</span>
              <span v-if="take.where" class="block text-brass">{{ take.where }}</span>
            </li>
          </ul>
        </section>

        <ol class="mt-3" aria-label="Steps">
          <li
            v-for="(step, i) in fix.steps"
            :key="i"
            class="flex gap-4 border-b border-line py-2.5 text-[1.0625rem] leading-snug"
          >
            <span class="figures w-5 shrink-0 text-xl font-bold text-petrol" aria-hidden="true">{{ i + 1 }}</span>
            <span class="min-w-0 flex-1">{{ step }}</span>
          </li>
        </ol>
        <p class="mt-3 text-base">
          <strong>If it fails:</strong>{{ ' ' }}
          <template v-if="after">{{ fixInWords(after.fix, catalogue) }}, {{ hoursInWords(after.workH) }}.</template
          ><template v-else>nothing else is with you; see below.</template>
        </p>
      </template>
      <template v-else>
        <h1 class="text-2xl" data-first-way>Nothing with you mends it</h1>
        <p class="mt-1 text-base">
          <template v-if="ways.length">All that could be tried was tried.</template>
          <template v-else>No tool, part or hand that is here does.</template>
        </p>
      </template>

      <OrElse v-if="here" class="mt-3" :answer="answer" :here="here" />

      <section class="mt-3">
        <button v-if="!lacking" type="button" class="trail-key w-full" :disabled="isAsking" @click="askWhatWouldMend">
          {{ isAsking ? 'Looking …' : 'What would mend it if I had it?' }}
        </button>
        <template v-else>
          <h2 class="text-base">To borrow, buy, or ask for</h2>
          <p v-if="lacking.length === 0" class="text-base">Nothing that would spare much.</p>
          <ul>
            <li v-for="each in lacking" :key="each.way.fix" class="border-b border-line py-2 text-base">
              <strong>{{ each.lacks.map(itemName).join(', ') }}</strong>: {{ fixInWords(each.way.fix, catalogue) }},
              spares {{ hoursInWords(each.sparesH) }}
            </li>
          </ul>
        </template>
      </section>

      <section v-if="showsWays" class="mt-3" aria-labelledby="ways-title">
        <h2 id="ways-title" class="text-base">All ways with what you have</h2>
        <ul class="mt-1 space-y-2">
          <li v-for="each in ways" :key="each.fix">
            <button
              type="button"
              class="trail-key w-full justify-between! text-left!"
              :aria-pressed="each === way"
              @click="choose(each)"
            >
              <span class="min-w-0 first-letter:uppercase">{{ fixInWords(each.fix, catalogue) }}</span>
              <span class="figures shrink-0 text-base font-normal"
                >{{ hoursInWords(each.workH) }} · {{ percent(each.hands * each.holds) }}</span
              >
            </button>
          </li>
        </ul>
      </section>
      <p class="mt-3 text-sm text-soft">
        Reckoned for {{ km(place.roadKm) }} with what is left. The makers’ manuals have the last word; brakes, steering
        and carbon deserve a mechanic before you ride on.
      </p>

      <div class="sticky bottom-0 -mx-4 mt-3 space-y-2 border-t border-line bg-paper px-4 py-3">
        <template v-if="edits.mayWrite.value">
          <template v-if="way">
            <button type="button" class="trail-key trail-key-main w-full" @click="say('held')">It holds</button>
            <div class="grid grid-cols-3 gap-2">
              <button type="button" class="trail-key px-1! text-base!" @click="say('did not hold')">It does not</button>
              <button type="button" class="trail-key px-1! text-base!" @click="say('could not')">I cannot do it</button>
              <button
                type="button"
                class="trail-key px-1! text-base!"
                :aria-expanded="showsWays"
                @click="showsWays = !showsWays"
              >
                Another way
              </button>
            </div>
          </template>
          <div v-else-if="failing" class="grid grid-cols-2 gap-2">
            <button
              v-for="ending in ['walked', 'lift', 'ridden on', 'left'] as const"
              :key="ending"
              type="button"
              class="trail-key text-base!"
              @click="(edits.ended(failing, isStranger, ending), see('here'))"
            >
              {{
                { walked: 'On foot', lift: 'By a lift', 'ridden on': 'Ridden as it is', left: 'The ride ends' }[ending]
              }}
            </button>
          </div>
        </template>
        <p v-else class="text-base">You read this plan: whoever rides writes its log.</p>
      </div>
    </template>
  </div>
</template>
