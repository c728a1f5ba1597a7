<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { bikeStarts } from '#catalogue'
import { NuxtLink } from '#components'
import { skillWords } from '#core/crew'
import { useDebounceFn } from '@vueuse/core'
import { definePageMeta, useHead } from '#imports'
import { computed, onUnmounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import FaultLines from '../../components/common/FaultLines.vue'
import { localeOfApp } from '../../components/common/locale-of-app'
import FilePicker from '../../components/common/FilePicker.vue'
import AppHeader from '../../components/frame/AppHeader.vue'
import TakeAlong from '../../components/trips/TakeAlong.vue'
import TripBin from '../../components/trips/TripBin.vue'
import { linesOf, statusOf } from '../../http/api'
import { useFileDrop } from '../../composables/useFileDrop'
import { firstRider, tripFiles, useNewTrip } from '../../composables/useNewTrip'
import { countOwnShed, useShed } from '../../stores/shed'
import { usePerson } from '../../stores/person'
import { useTripSessions } from '../../stores/trip-sessions'
import { countOwnTrips, isSample, takeOverOwnTrips, useTrips, type TripLine } from '../../stores/trips'
import { useView } from '../../stores/view'
import type { KeptLine, Waiting } from '../../session/outbox'

definePageMeta({ middleware: 'signed-in' })
useHead({ title: 'Trips · Rag Tin' })

const { km } = useView()
const { person, isGuest } = usePerson()
const trips = ref<TripLine[]>()
const lines = ref<string[]>([])
const thrownAway = shallowRef<TripLine>()
const bin = useTemplateRef<{ look: () => Promise<void> }>('bin')

/** Trips of which something waits on this device, and those that lie on it. */
const waiting = shallowRef<readonly Waiting[]>([])
const kept = shallowRef<readonly KeptLine[]>([])
const signedOut = ref(false)
/** Trips of this device that were made without an account, while somebody is signed in. */
const left = ref(0)
/** Things of a shed of this device, likewise. */
const leftInShed = ref(0)
const leftInWords = computed(() => {
  const trips = left.value === 1 ? 'one trip' : `${left.value} trips`
  const things = leftInShed.value === 1 ? 'one thing of a shed' : `${leftInShed.value} things of a shed`
  return [left.value ? [trips] : [], leftInShed.value ? [things] : []].flat().join(' and ')
})

async function list() {
  const sessions = await useTripSessions()
  waiting.value = await sessions.waiting()
  kept.value = await sessions.kept()
  try {
    trips.value = await useTrips().list()
    left.value = isGuest.value ? 0 : await countOwnTrips().catch(() => 0)
    leftInShed.value = isGuest.value ? 0 : await countOwnShed().catch(() => 0)
  } catch (error) {
    signedOut.value = statusOf(error) === 401
    lines.value = signedOut.value ? [] : linesOf(error)
  }
}
void list()

/** What waits may be brought to the server while one looks on, and what is listed then is other than it was. */
const lookAgain = useDebounceFn(async () => {
  const stillWaiting = await (await useTripSessions()).waiting()
  const isLess = stillWaiting.length < waiting.value.length
  waiting.value = stillWaiting
  if (isLess) await list()
}, 300)
const telling = useTripSessions().then((sessions) => sessions.subscribe(() => void lookAgain()))
onUnmounted(() => void telling.then((stop) => stop()))
const onlyHere = (id: string) =>
  `${unsavedOf(id) === 1 ? 'One change is' : `${unsavedOf(id)} changes are`} on this device only`
/** What it was last called here, though the server may not have heard of it. */
const nameOf = ({ id, name: listed }: TripLine) => waiting.value.find(({ trip }) => trip === id)?.name || listed
const keptOf = ({ id }: TripLine) => kept.value.find(({ trip }) => trip === id)
async function lookWhatIsKept() {
  kept.value = await (await useTripSessions()).kept()
}
const unsavedOf = (id: string) => waiting.value.find(({ trip }) => trip === id)?.steps ?? 0

/** Who else has to do with it. */
function sharedInWords({ role, owner, others }: TripLine): string {
  if (role !== 'owner') return role === 'rider' ? `you ride along; it is ${owner}’s` : `you read it; it is ${owner}’s`
  return others === 0 ? '' : others === 1 ? 'shared with one other' : `shared with ${others} others`
}

const shed = useShed()
void shed.open()
const inShed = computed(() => {
  const count = shed.things.value.length
  return count === 0 ? 'Shed: what I own' : count === 1 ? 'Shed: one thing' : `Shed: ${count} things`
})

const name = ref('')
const riders = ref([firstRider()])
const { busy, lines: refused, begin, beginWith } = useNewTrip()

/** The trip whose riders and bikes come along; empty for riders who are typed. */
const like = ref('')
/** Of so many trips one can choose. */
const mostLike = 30
/** Whoever has ridden before rides on with the same people and bikes, unless they say otherwise. */
watch(trips, (list, before) => {
  const isThere = list?.some(({ id }) => id === like.value)
  if (!before || (like.value && !isThere))
    like.value = list?.find((trip) => trip.role === 'owner' && !isSample(trip))?.id ?? ''
})
const companions = computed(() => like.value || riders.value)
const over = useFileDrop((file) => void beginWith(file, companions.value))

async function takeAlong() {
  lines.value = []
  try {
    await takeOverOwnTrips()
  } catch (error) {
    lines.value = linesOf(error)
  }
  await list()
}

async function throwAway(trip: TripLine) {
  try {
    await useTrips().throwAway(trip.id)
    thrownAway.value = trip
    await Promise.all([list(), bin.value?.look()])
  } catch (error) {
    lines.value = linesOf(error)
  }
}
async function takeBack({ id }: TripLine) {
  try {
    await useTrips().takeBack(id)
    thrownAway.value = undefined
    await Promise.all([list(), bin.value?.look()])
  } catch (error) {
    lines.value = linesOf(error)
  }
}
</script>

<template>
  <div class="flex min-h-full flex-col">
    <AppHeader />
    <main
      class="mx-auto grid w-full max-w-5xl flex-1 content-start gap-8 p-6 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]"
      :class="over ? 'outline-4 outline-dashed -outline-offset-8 outline-petrol' : ''"
    >
      <section aria-labelledby="trips-title">
        <div class="flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 id="trips-title" class="text-2xl">Trips</h1>
          <NuxtLink to="/shed" class="button">{{ inShed }}</NuxtLink>
        </div>
        <p
          v-if="thrownAway"
          role="status"
          class="mt-3 flex items-center justify-between rounded border border-line bg-well px-3 py-2 text-sm"
        >
          <span class="min-w-0 [overflow-wrap:anywhere]"
            >“{{ thrownAway.name }}” was thrown away{{
              thrownAway.others > 0 ? ', for everybody who shares it' : ''
            }}.</span
          ><button type="button" class="button" @click="takeBack(thrownAway)">Take it back</button>
        </p>
        <p v-if="signedOut" role="status" class="mt-3 flex items-center justify-between gap-3 text-sm">
          <span>Your sign-in has ended. What lies on this device can be read.</span>
          <NuxtLink :to="{ path: '/', query: { next: '/trips' } }" class="button">Sign in again</NuxtLink>
        </p>
        <ul v-if="!trips && kept.length" class="mt-4 space-y-3">
          <li v-for="trip in kept" :key="trip.trip" class="card py-2 pl-4 pr-2">
            <NuxtLink :to="`/trips/${trip.trip}/weigh`" class="block py-1.5">
              <span class="block break-words text-lg font-bold [font-stretch:108%]">{{ trip.name }}</span>
              <span class="text-sm text-soft">on this device{{ trip.isTakenAlong ? ', taken along' : '' }}</span>
              <span v-if="unsavedOf(trip.trip)" class="block text-sm font-semibold text-madder">{{
                onlyHere(trip.trip)
              }}</span>
            </NuxtLink>
          </li>
        </ul>
        <p v-else-if="!trips && !signedOut && !lines.length" role="status" class="mt-4 text-soft">Looking …</p>
        <p v-else-if="trips && !trips.length" class="mt-4 text-soft">
          None yet. Drop a GPX file here, or begin one by hand.
        </p>
        <ul v-if="trips" class="mt-4 space-y-3">
          <li v-for="trip in trips" :key="trip.id" class="card flex items-center gap-4 py-2 pl-4 pr-2">
            <div class="min-w-0 flex-1">
              <NuxtLink :to="`/trips/${trip.id}/weigh`" class="block py-1.5">
                <span class="block text-lg font-bold [font-stretch:108%]">{{ nameOf(trip) }}</span>
                <span class="text-sm text-soft"
                  >{{ trip.lengthKm ? km(trip.lengthKm) : 'no road yet' }} ·
                  {{ trip.things === 1 ? 'one thing' : `${trip.things} things` }} on the bench · changed
                  {{
                    new Date(trip.updatedAt).toLocaleDateString(localeOfApp, { day: 'numeric', month: 'long' })
                  }}</span
                >
                <span v-if="sharedInWords(trip)" class="block text-sm [overflow-wrap:anywhere]">{{
                  sharedInWords(trip)
                }}</span>
                <span v-if="unsavedOf(trip.id)" class="block text-sm font-semibold text-madder">
                  {{ onlyHere(trip.id) }}
                </span>
              </NuxtLink>
              <TakeAlong
                v-if="!isGuest"
                :trip="trip.id"
                :name="nameOf(trip)"
                :kept="keptOf(trip)"
                @changed="lookWhatIsKept"
              />
            </div>
            <button
              v-if="trip.role === 'owner'"
              type="button"
              class="button button-bare"
              :aria-label="`Throw away ${trip.name}`"
              @click="throwAway(trip)"
            >
              <Trash2 :size="16" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <p v-if="isGuest" class="mt-4 rounded border border-line bg-well px-3 py-2 text-sm">
          These lie on this device alone.
          <NuxtLink :to="{ path: '/', query: { up: '' } }" class="font-semibold underline">Sign up</NuxtLink> to have
          them on other devices, too; they come along.
        </p>
        <p
          v-if="left || leftInShed"
          class="mt-4 flex flex-wrap items-center justify-between gap-2 rounded border border-line bg-well px-3 py-2 text-sm"
        >
          <span>Made without an account, and on this device alone: {{ leftInWords }}.</span>
          <button type="button" class="button" @click="takeAlong">
            Take along into the account of {{ person?.name }}
          </button>
        </p>
        <TripBin v-if="trips" ref="bin" @restored="((thrownAway = undefined), list())" />
      </section>
      <section class="card self-start p-4" aria-labelledby="new-title">
        <h2 id="new-title" class="text-lg">A new trip</h2>
        <form class="mt-3 space-y-3" @submit.prevent="begin(name, companions)">
          <label class="block text-sm text-soft"
            >Name<input v-model="name" class="field mt-1 text-ink" maxlength="120" placeholder="Where to, and when"
          /></label>
          <label v-if="trips?.length" class="block text-sm text-soft"
            >Riders and bikes
            <select v-model="like" class="field mt-1 text-ink">
              <option v-for="trip in trips.slice(0, mostLike)" :key="trip.id" :value="trip.id">
                as in {{ nameOf(trip) }}
              </option>
              <option value="">others, typed here</option>
            </select>
          </label>
          <fieldset v-for="(rider, i) in like ? [] : riders" :key="i" class="space-y-2 border-t border-line pt-2">
            <legend class="float-left mb-2 w-full text-sm font-semibold">
              {{ riders.length > 1 ? `Rider ${i + 1}` : 'Rider' }}
              <button
                v-if="riders.length > 1"
                type="button"
                class="float-right font-normal underline"
                :aria-label="`Remove rider ${i + 1}`"
                @click="riders.splice(i, 1)"
              >
                Remove
              </button>
            </legend>
            <label class="block text-sm text-soft"
              >Name<input v-model="rider.name" class="field mt-1 text-ink" maxlength="120"
            /></label>
            <div class="grid grid-cols-2 gap-2">
              <label class="block text-sm text-soft"
                >Rides
                <select v-model="rider.bike" class="field mt-1 text-ink">
                  <option v-for="start in bikeStarts" :key="start.id" :value="start.id">{{ start.name }}</option>
                </select>
              </label>
              <label class="block text-sm text-soft"
                >Repairs were
                <select v-model.number="rider.hands" class="field mt-1 text-ink">
                  <option v-for="(words, level) in skillWords" :key="level" :value="level">
                    {{ level === 0 ? 'never tried' : words }}
                  </option>
                </select>
              </label>
            </div>
          </fieldset>
          <div class="flex gap-2 pt-1" :class="like ? 'justify-end' : 'justify-between'">
            <button v-if="!like && riders.length < 12" type="button" class="button" @click="riders.push(firstRider())">
              One more rider
            </button>
            <button type="submit" class="button button-main" :disabled="busy">Begin</button>
          </div>
        </form>
        <hr class="my-4 border-line" />
        <FilePicker
          class="w-full"
          label="GPX file or trip document"
          :accept="tripFiles"
          :disabled="busy"
          @file="beginWith($event, companions)"
          >A trip from a file</FilePicker
        >
        <p class="mt-1.5 text-sm text-soft">
          A GPX file becomes the road of a new trip; a trip document exported from Rag Tin is one already. Either may be
          dropped anywhere on this page.
        </p>
        <FaultLines class="mt-3" :lines="[...refused, ...lines]" title="Not taken; your trips are as they were." />
      </section>
    </main>
  </div>
</template>
