<script setup lang="ts">
import { catalogue } from '#catalogue'
import { cautionsOf } from '#core/fix'
import { isAsGood, newToThem, type Decided, type Question, type Score } from '#core/rehearsal'
import { parseWallClock } from '#core/ride'
import { fixOf } from '#core/trip-ledger'
import { failureInWords, fixInWords, hoursInWords, momentInWords } from '#wording'
import { computed, ref, shallowRef } from 'vue'
import { useRiders } from '../../composables/useRiders'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { ScenePlayed } from '../../workers/trail-guide'
import FaultLines from '../common/FaultLines.vue'

/** An evening's practice: a trip is drawn, things break, and what one decides is held against the best. */
const store = useTripStore()
const trail = useTrail()
const { me } = useTrailEdits()
const { setSkills } = useRiders()
const { km } = useView()

const seed = ref(Math.floor(Math.random() * 10_000))
const stage = ref<'before' | 'scene' | 'after'>('before')
const isBusy = ref(false)
const lines = ref<string[]>([])
const found = ref(0)
const scene = shallowRef<ScenePlayed>()
const scores = shallowRef<readonly Score[]>([])

async function attempt(work: () => Promise<void>) {
  isBusy.value = true
  lines.value = []
  try {
    await work()
  } catch (error) {
    lines.value = [error instanceof Error ? error.message : String(error)]
  }
  isBusy.value = false
}
const begin = () =>
  attempt(async () => {
    found.value = await trail.rehearse(seed.value)
    rightInAll.value = askedInAll.value = 0
    await goOn()
  })
async function goOn() {
  scene.value = await trail.nextScene()
  stage.value = scene.value ? 'scene' : 'after'
  answers.value = []
  if (!scene.value) scores.value = await trail.playScores()
}
const next = () => attempt(goOn)
/** Whether one is asked about what one does, as well as what one would do. */
const asks = ref(true)
/** What was answered to the questions of the moment, and how many were right in all. */
const answers = ref<string[]>([])
const [rightInAll, askedInAll] = [ref(0), ref(0)]
const questions = computed(() => (asks.value ? (scene.value?.questions ?? []) : []))
const question = computed(() => questions.value[answers.value.length])
const lastAsked = computed(() => questions.value[answers.value.length - 1])
const decide = (fix: string | null) =>
  attempt(async () => {
    scene.value = await trail.decideOn(fix)
    answers.value = []
  })
function answer(option: string) {
  if (!question.value) return
  askedInAll.value++
  if (option === question.value.right) rightInAll.value++
  answers.value = [...answers.value, option]
}
const questionWords: Readonly<Record<Question['about'], string>> = {
  thing: 'What do you take out for it?',
  'first step': 'Which of these comes first?',
  caution: 'What is to be minded?',
}
const optionName = (about: Question['about'], option: string) =>
  about === 'thing' ? (store.openTrip.bench.find(({ id }) => id === option)?.name ?? option) : option
const isRight = computed(() => answers.value.at(-1) === lastAsked.value?.right)
const answerWords = computed(() => {
  const asked = lastAsked.value
  if (!asked) return ''
  return isRight.value ? 'Right.' : `No, but: ${optionName(asked.about, asked.right)}`
})
const answerColours = computed(() => (isRight.value ? 'border-petrol bg-petrol-wash' : 'border-madder bg-madder-wash'))
function again() {
  seed.value = (seed.value + 1) % 10_000
  stage.value = 'before'
}

const bikeName = computed(() => store.openTrip.bikes.find(({ id }) => id === scene.value?.failure.bike)?.name ?? '')
const last = computed(() => scene.value?.tries.at(-1))
const lastFix = computed(() => {
  const fix = last.value?.fix
  return fix ? catalogue.fixes.find(({ id }) => id === fixOf(fix)) : undefined
})
const outcomeWords: Readonly<Record<Decided['outcome'], string>> = {
  held: 'It holds.',
  'did not hold': 'Done, and it does not hold.',
  'could not': 'It cannot be brought off this time.',
  'given up': 'Left as it is.',
}
const judged = computed(() => {
  const tried = last.value
  if (!tried) return ''
  if (isAsGood(tried)) return 'As good as anything that could be done.'
  const best = tried.best === null ? 'to leave it' : fixInWords(tried.best, catalogue)
  return `Best would have been: ${best}. This costs ${hoursInWords(tried.regretH)} more in the mean.`
})
const techniqueName = (id: string) => catalogue.techniques.find((technique) => technique.id === id)?.name ?? id

const rider = computed(() => store.openTrip.crew.find(({ id }) => id === me.value) ?? store.openTrip.crew[0])
const watched = computed(() => (rider.value ? newToThem(scores.value, rider.value) : []))
const isSaid = ref(false)
function sayWatched() {
  if (!rider.value) return
  setSkills(rider.value, Object.fromEntries(watched.value.map((technique) => [technique, 1 as const])))
  isSaid.value = true
}
</script>

<template>
  <div class="px-4 pb-4 pt-3 text-base">
    <h1 class="text-2xl">Rehearsal</h1>
    <FaultLines v-if="lines.length" class="mt-2" :lines="lines" />
    <template v-if="stage === 'before'">
      <p class="mt-2">
        A trip is drawn on this road with the kit as planned. Things break; you decide what to do with what you have,
        and see what comes of it and what the best would have been. Nothing of it is kept.
      </p>
      <label class="mt-3 flex min-h-11 items-center gap-3">
        <input v-model="asks" type="checkbox" class="size-6 shrink-0 accent-petrol" />Ask me how it is done as well:
        with which tool, what comes first, what to mind
      </label>
      <p class="mt-2 text-soft">Trip number {{ seed }}: the same number draws the same trip.</p>
      <button type="button" class="trail-key trail-key-main mt-3 w-full" :disabled="isBusy" @click="begin">
        {{ isBusy ? 'Drawing a trip …' : 'Ride it' }}
      </button>
      <button type="button" class="trail-key mt-2 w-full" :disabled="isBusy" @click="again">Another trip</button>
    </template>

    <template v-else-if="stage === 'scene' && scene">
      <p class="mt-1 text-soft">
        {{ scene.number }} of {{ scene.inAll }} · {{ km(scene.roadKm) }} · {{ momentInWords(parseWallClock(scene.at)) }}
      </p>
      <h2 class="text-xl first-letter:uppercase" data-scene>
        {{ failureInWords(scene.failure, catalogue, store.openTrip.bikes) }}
      </h2>
      <p class="text-soft">
        <template v-if="store.openTrip.bikes.length > 1">{{ bikeName }} · </template
        >{{ hoursInWords(scene.lossH) }} lost with nothing done.
      </p>

      <p v-if="answerWords" aria-live="polite" class="mt-3 border-l-4 px-3 py-2 text-ink" :class="answerColours">
        {{ answerWords }}
      </p>
      <section v-if="lastFix && question" class="mt-3" aria-labelledby="question-title">
        <p class="text-soft first-letter:uppercase">{{ lastFix.name }}</p>
        <h3 id="question-title" class="text-lg" data-question>{{ questionWords[question.about] }}</h3>
        <ul class="mt-1 space-y-2">
          <li v-for="option in question.options" :key="option">
            <button
              type="button"
              class="trail-key w-full justify-start! text-left!"
              data-option
              @click="answer(option)"
            >
              {{ optionName(question.about, option) }}
            </button>
          </li>
        </ul>
      </section>
      <template v-else>
        <section v-if="last" class="mt-3 border-l-4 border-petrol bg-petrol-wash px-3 py-2 text-ink" aria-live="polite">
          <p class="font-semibold">{{ outcomeWords[last.outcome] }}</p>
          <p>{{ judged }}</p>
          <p v-if="scene.hours !== null">{{ hoursInWords(scene.hours) }} lost here in all.</p>
        </section>
        <section v-if="lastFix" class="mt-3" aria-labelledby="how-title">
          <h3 id="how-title" class="text-base first-letter:uppercase">{{ lastFix.name }}: how it goes</h3>
          <ul v-if="cautionsOf(lastFix).length" class="mt-1 border-l-4 border-madder bg-madder-wash px-3 py-2 text-ink">
            <li v-for="caution in cautionsOf(lastFix)" :key="caution">{{ caution }}</li>
          </ul>
          <ol class="mt-1 list-decimal pl-6">
            <li v-for="step in lastFix.steps" :key="step" class="py-0.5">{{ step }}</li>
          </ol>
        </section>

        <template v-if="scene.ways.length">
          <h3 class="mt-4 text-base">{{ last ? 'And now?' : 'What do you do?' }}</h3>
          <ul class="mt-1 space-y-2">
            <li v-for="way in scene.ways" :key="way.fix">
              <button
                type="button"
                class="trail-key w-full justify-start! text-left!"
                :disabled="isBusy"
                data-way
                @click="decide(way.fix)"
              >
                <span class="first-letter:uppercase">{{ fixInWords(way.fix, catalogue) }}</span>
              </button>
            </li>
            <li>
              <button type="button" class="trail-key w-full" :disabled="isBusy" @click="decide(null)">
                Nothing more: on foot, or as it is
              </button>
            </li>
          </ul>
        </template>
        <template v-else>
          <p v-if="!last" class="mt-3">Nothing that is along mends it: {{ hoursInWords(scene.lossH) }} lost.</p>
          <button
            type="button"
            data-ride-on
            class="trail-key trail-key-main mt-4 w-full"
            :disabled="isBusy"
            @click="next"
          >
            Ride on
          </button>
        </template>
      </template>
    </template>

    <template v-else>
      <p class="mt-2" data-played>
        {{
          found === 0
            ? 'Nothing broke on this trip that was worth a thought.'
            : `The end, after ${found} ${found === 1 ? 'breakdown' : 'breakdowns'}.`
        }}
      </p>
      <p v-if="askedInAll" class="mt-2">{{ rightInAll }} of {{ askedInAll }} questions right.</p>
      <ul v-if="scores.length" class="mt-2">
        <li v-for="score in scores" :key="score.technique" class="flex gap-3 border-b border-line py-2">
          <span class="min-w-0 flex-1 first-letter:uppercase">{{ techniqueName(score.technique) }}</span>
          <span class="shrink-0">{{ score.right }} of {{ score.decisions }} right</span>
        </li>
      </ul>
      <div v-if="watched.length && rider" class="mt-3">
        <p>
          {{ rider.name }} has never done {{ watched.map(techniqueName).join(', ') }}. Having seen how it goes counts a
          little; having done it at home counts much more.
        </p>
        <button type="button" class="trail-key mt-2 w-full" :disabled="isSaid" @click="sayWatched">
          {{ isSaid ? 'Said, under Crew' : `${rider.name} has watched it now` }}
        </button>
      </div>
      <button type="button" class="trail-key trail-key-main mt-4 w-full" @click="again">Another trip</button>
    </template>
    <p class="mt-4 text-sm text-soft">
      Drawn from planning values: no road is like that. Makers’ manuals have the last word, and brakes, steering and
      carbon deserve a mechanic.
    </p>
  </div>
</template>
