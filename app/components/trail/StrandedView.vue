<script setup lang="ts">
import { hasIdentity, identitySchema, type Identity } from '#core/identity'
import { spokenPosition } from '#core/road'
import { longestNumbers } from '#core/ride'
import { hoursInWords, momentInWords } from '#wording'
import { computed, ref, shallowRef } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'

import { api, linesOf } from '../../http/api'
import { devicePosition } from '../../position/device-position'
import { NoPosition } from '../../position/position'
import { keepIdentity, keptIdentity } from '../../session/device-identity'
import { usePerson } from '../../stores/person'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { Here } from '../../workers/trail-guide'
import FaultLines from '../common/FaultLines.vue'

/** What to do when nothing mends it, or somebody is hurt: warm, heard, found. */
const props = defineProps<{ here: Here }>()
const store = useTripStore()
const { mayWrite } = useTrailEdits()
const { isGuest } = usePerson()
const { km } = useView()

const lines = ref<string[]>([])
const exact = shallowRef<{ lat: number; lon: number; accuracyM: number }>()
/** By the road, while the device has not been asked. */
const spoken = computed(() => {
  const { lat, lon } = exact.value ?? props.here.position
  return spokenPosition(lat, lon)
})
const isBusy = ref(false)
async function ask() {
  isBusy.value = true
  lines.value = []
  try {
    exact.value = await devicePosition.where()
  } catch (error) {
    lines.value = [error instanceof NoPosition ? error.message : 'The position could not be read.']
  }
  isBusy.value = false
}

const between = computed(() => {
  const stops = [...store.openTrip.stops].sort((a, b) => a.roadKm - b.roadKm)
  const last = stops.findLast(({ roadKm }) => roadKm <= props.here.roadKm)
  const next = stops.find(({ roadKm }) => roadKm > props.here.roadKm)
  const words = []
  if (last) words.push(`${km(props.here.roadKm - last.roadKm)} past ${last.name}`)
  if (next) words.push(`${km(next.roadKm - props.here.roadKm)} before ${next.name}`)
  return words.join(', ')
})
const report = computed(() => props.here.ahead.report)
const light = computed(() => report.value.day?.lightLeftH)
const exits = computed(() => props.here.ahead.stops.filter(({ canLeave }) => canLeave).slice(0, 3))

const numbers = [
  { key: 'emergency', label: 'Numbers to call in need' },
  { key: 'whoKnows', label: 'Who at home knows of the ride' },
] as const
const setLine = (key: 'emergency' | 'whoKnows', label: string, event: Event) =>
  store.edit(label, { ride: { ...store.openTrip.ride, [key]: (event.target as HTMLTextAreaElement).value.trim() } })

const identity = shallowRef<Identity | undefined>(keptIdentity())
async function keepCard() {
  lines.value = []
  try {
    const read = identitySchema.parse(await api('/api/account/identity'))
    if (!hasIdentity(read)) {
      lines.value = ['Your card is empty: write it under Account, Who I am, while there is a network.']
      return
    }
    keepIdentity(read)
    identity.value = read
  } catch (error) {
    lines.value = linesOf(error)
  }
}
function dropCard() {
  keepIdentity(undefined)
  identity.value = undefined
}
const cardLines = computed(() => {
  const card = identity.value
  if (!card) return []
  return [
    { label: 'Name', said: card.name },
    { label: 'Born', said: card.born },
    { label: 'Address', said: card.address },
    { label: 'Blood group', said: card.blood },
    { label: 'Allergies', said: card.allergies },
    { label: 'Medication', said: card.medication },
    { label: 'Else', said: card.conditions },
    { label: 'Call', said: card.contact },
  ].filter(({ said }) => said.trim() !== '')
})
</script>

<template>
  <div class="px-4 pb-4 pt-3 text-base">
    <h1 class="text-2xl">Stranded</h1>
    <p class="mt-2 border-l-4 border-madder bg-madder-wash px-3 py-2 text-ink">
      Somebody is hurt, or in danger: call for help now, before all else.
      <strong>{{ store.openTrip.ride.emergency || 'Call the local emergency number.' }}</strong>
    </p>
    <ol class="mt-3 space-y-2">
      <li><strong>Off the road, and seen.</strong> Lights on, bright clothes on, bike off the lane.</li>
      <li>
        <strong>Warm and dry first.</strong> Everything on, out of the wind, sit on a bag. Eat and drink something.
      </li>
      <li>
        <strong>Signal.</strong> None here? Higher ground, or the way you came: note where you had it last. A message
        gets through where a call does not.
      </li>
      <li>
        <strong>Light:</strong>
        {{
          light === undefined ? 'the plan has no day' : light > 0 ? `${hoursInWords(light)} left` : 'none left today'
        }}. Do not walk on in the dark on a road you cannot see.
      </li>
      <li><strong>Stay together,</strong> and stay where you said you are, unless help on foot is near.</li>
    </ol>

    <section class="mt-4 rounded border-[1.5px] border-ink bg-paper px-3 py-3" aria-labelledby="read-out-title">
      <h2 id="read-out-title" class="text-lg">Read this out</h2>
      <p class="mt-1">
        “We are at kilometre <strong class="figures">{{ here.roadKm.toFixed(1) }}</strong> of our route<template
          v-if="between"
          >, {{ between }}</template
        >.”
      </p>

      <p class="figures mt-2 whitespace-normal! text-xl font-bold" data-degrees>{{ spoken.degrees }}</p>
      <p class="mt-1">{{ spoken.words }}</p>
      <p class="mt-1 text-soft">{{ spoken.minutes }}</p>
      <p class="mt-1 text-soft">
        {{
          exact
            ? `By this device, to ${Math.round(exact.accuracyM)} m or so.`
            : 'By the kilometre that you said, on the line of the road.'
        }}
      </p>

      <button type="button" class="trail-key mt-2 w-full" :disabled="isBusy" @click="ask">
        {{ isBusy ? 'Looking …' : 'Ask this device where it is' }}
      </button>
    </section>
    <FaultLines v-if="lines.length" class="mt-3" :lines="lines" />

    <h2 class="mt-4 text-lg">Ways out</h2>
    <ul>
      <li class="border-b border-line py-2">
        Nearest help: <strong>{{ report.nearest.place }}</strong>, at {{ km(report.nearest.km) }},
        {{ hoursInWords(report.nearest.walkH) }} on foot,
        {{ report.nearest.way === 'ahead' ? 'ahead' : 'back' }}
      </li>
      <li v-if="report.liftH !== null" class="border-b border-line py-2">
        A lift: {{ hoursInWords(report.liftH) }} until it has come, as planned
      </li>
      <li v-if="report.exit" class="border-b border-line py-2">
        {{ report.exit.exit }} at <strong>{{ report.exit.place }}</strong>, {{ hoursInWords(report.exit.walkH) }} on
        foot, {{ report.exit.way === 'ahead' ? 'ahead' : 'back' }}
      </li>
      <li
        v-for="stop in exits.filter(({ name }) => name !== report.exit?.place)"
        :key="stop.stop"
        class="border-b border-line py-2"
      >
        <strong>{{ stop.name }}</strong>, {{ km(stop.roadKm - here.roadKm) }} on<template v-if="stop.arrives !== null"
          >, {{ momentInWords(stop.arrives) }} riding</template
        >
      </li>
    </ul>

    <h2 class="mt-4 text-lg">Who knows</h2>
    <label v-for="{ key, label } in numbers" :key="key" class="mt-2 block text-soft"
      >{{ label }}
      <textarea
        :value="store.openTrip.ride[key]"
        rows="2"
        class="field mt-1 text-ink"
        :maxlength="longestNumbers"
        :readonly="!mayWrite || store.access.role !== 'owner'"
        :placeholder="
          key === 'emergency' ? 'Local emergency number, mountain rescue …' : 'Name, number, when they expect you'
        "
        @change="setLine(key, label, $event)"
      />
    </label>

    <h2 class="mt-4 text-lg">Who I am</h2>
    <dl v-if="identity">
      <div v-for="{ label, said } in cardLines" :key="label" class="border-b border-line py-1.5">
        <dt class="text-soft">{{ label }}</dt>
        <dd class="font-semibold [overflow-wrap:anywhere]">{{ said }}</dd>
      </div>
    </dl>
    <p v-else class="text-soft">
      {{
        isGuest
          ? 'A card in case you cannot speak is kept with an account: sign up for one.'
          : 'Your card, in case you cannot speak, is not on this device. Whoever holds the device can read it then.'
      }}
    </p>
    <button v-if="identity" type="button" class="trail-key mt-2 w-full" @click="dropCard">
      Take it off this device
    </button>
    <button v-else-if="!isGuest" type="button" class="trail-key mt-2 w-full" @click="keepCard">
      Keep my card on this device
    </button>
    <p class="mt-4 text-sm text-soft">
      No medical advice, and no rescue: call those whose work it is. What is reckoned here are planning values.
    </p>
  </div>
</template>
