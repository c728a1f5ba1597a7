<script setup lang="ts">
import { NuxtLink } from '#components'
import { navigateTo } from '#imports'
import { useIntervalFn } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import { useRequest } from '../../composables/useRequest'
import { linesOf } from '../../http/api'
import { usePeople, type MemberRole, type PersonOfTrip } from '../../stores/people'
import { usePerson } from '../../stores/person'
import { useTripSessions } from '../../stores/trip-sessions'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'
import BaseDialog from '../common/BaseDialog.vue'
import InvitePanel from './InvitePanel.vue'
import PastSaves from './PastSaves.vue'

/** Who shares the plan, what each may do, and who changed what. */
const store = useTripStore()
const people = usePeople()
const { person, isGuest } = usePerson()
const { busy, lines, attempt } = useRequest()
const unreached = ref<string[]>([])
const isOwner = computed(() => store.access.role === 'owner')

/** So often it is looked again who has joined, while somebody looks on. */
const lookEveryMs = 10_000
async function look() {
  if (isGuest.value || document.hidden) return
  try {
    await people.look()
    unreached.value = []
  } catch (error) {
    unreached.value = linesOf(error)
  }
}
onMounted(() => void look())
useIntervalFn(() => void look(), lookEveryMs)
onUnmounted(() => people.forget())

const roleWords = { owner: 'owner: changes all of it', rider: 'rides along', reader: 'reads' } as const
const riderName = (id: string | null) => store.openTrip.crew.find((rider) => rider.id === id)?.name
/** Riders of the crew that nobody else is yet. */
const freeFor = (whom: PersonOfTrip) =>
  store.openTrip.crew.filter(({ id }) => !people.people.some((other) => other.id !== whom.id && other.rider === id))
const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
const setRole = (whom: PersonOfTrip, event: Event) =>
  attempt(() => people.change(whom.id, { role: valueOf(event) as MemberRole }))
const setRider = (whom: PersonOfTrip, event: Event) =>
  attempt(() => people.change(whom.id, { rider: valueOf(event) || null }))

/** What is asked about before it is done. */
interface Asked {
  readonly title: string
  readonly words: string
  readonly doIt: string
  readonly work: () => Promise<void>
}
const asked = shallowRef<Asked>()
const askHandOver = (whom: PersonOfTrip) => {
  asked.value = {
    title: `Hand the plan over to ${whom.name}`,
    words: `${whom.name} becomes its owner, and you ride along. Only ${whom.name} can hand it back.`,
    doIt: 'Hand it over',
    work: () => people.handOver(whom.id),
  }
}
const askTakeOff = (whom: PersonOfTrip) => {
  asked.value = {
    title: `Take ${whom.name} off the plan`,
    words: `${whom.name} no longer sees it. What they have put into it stays.`,
    doIt: 'Take them off',
    work: () => people.takeOff(whom.id),
  }
}
const askLeave = () => {
  asked.value = {
    title: 'Leave this plan',
    words: 'You no longer see it. What you have put into it stays; take out of the bench first what shall not.',
    doIt: 'Leave it',
    work: async () => {
      const left = store.id
      await people.leave()
      await navigateTo('/trips')
      await (await useTripSessions()).forget(left)
    },
  }
}
async function goOn() {
  const work = asked.value?.work
  if (work && (await attempt(work))) asked.value = undefined
}
</script>

<template>
  <div class="space-y-8">
    <section aria-labelledby="people-title">
      <h2 id="people-title" class="text-base">Who shares this plan</h2>
      <p class="mt-1 max-w-prose text-xs text-soft">
        Whoever shares it sees all of it: road, bikes, crew, bench. Nobody sees your shed, your e-mail address or your
        other trips.
      </p>
      <p v-if="isGuest" class="mt-3 max-w-prose text-sm">
        It lies on this device alone.
        <NuxtLink :to="{ path: '/', query: { up: '' } }" class="font-semibold underline">Sign up</NuxtLink> to share it;
        it comes along.
      </p>
      <FaultLines v-else-if="unreached.length && !people.isKnown" class="mt-3" :lines="unreached" />
      <p v-else-if="!people.isKnown" role="status" class="mt-3 text-sm text-soft">Looking …</p>
      <ul v-else class="mt-3 border-t border-line" aria-label="People who share this plan">
        <li
          v-for="whom in people.people"
          :key="whom.id"
          class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line py-2"
          :aria-label="whom.name"
        >
          <span class="min-w-0 flex-1 basis-40 font-semibold [overflow-wrap:anywhere]"
            >{{ whom.name }}<span v-if="whom.id === person?.id" class="font-normal text-soft"> (you)</span></span
          >
          <label v-if="isOwner && whom.role !== 'owner'" class="flex items-center gap-2 text-sm text-soft"
            >may
            <select
              class="field w-auto!"
              :aria-label="`What ${whom.name} may do`"
              :value="whom.role"
              :disabled="busy"
              @change="setRole(whom, $event)"
            >
              <option value="rider">ride along</option>
              <option value="reader">read</option>
            </select>
          </label>
          <span v-else class="text-sm">{{ roleWords[whom.role] }}</span>
          <label v-if="isOwner && whom.role !== 'reader'" class="flex items-center gap-2 text-sm text-soft"
            >is
            <select
              class="field w-40!"
              :aria-label="`Who of the crew ${whom.name} is`"
              :value="whom.rider ?? ''"
              :disabled="busy"
              @change="setRider(whom, $event)"
            >
              <option value="">nobody of the crew</option>
              <option v-for="rider in freeFor(whom)" :key="rider.id" :value="rider.id">{{ rider.name }}</option>
            </select>
          </label>
          <span v-else-if="whom.role !== 'reader'" class="text-sm text-soft">{{
            riderName(whom.rider) ? `is ${riderName(whom.rider)}` : 'is nobody of the crew yet'
          }}</span>
          <span v-if="isOwner && whom.role !== 'owner'" class="flex gap-1">
            <button
              type="button"
              class="button min-h-7!"
              :aria-label="`Hand the plan over to ${whom.name}`"
              @click="askHandOver(whom)"
            >
              Hand over …
            </button>
            <button
              type="button"
              class="button min-h-7!"
              :aria-label="`Take ${whom.name} off the plan`"
              @click="askTakeOff(whom)"
            >
              Take off …
            </button>
          </span>
          <button
            v-else-if="whom.id === person?.id && whom.role !== 'owner'"
            type="button"
            class="button min-h-7!"
            @click="askLeave"
          >
            Leave this plan …
          </button>
        </li>
      </ul>
      <FaultLines v-if="!asked" class="mt-3" :lines="lines" />
      <p v-if="people.isKnown && !isOwner" class="mt-3 max-w-prose text-xs text-soft">
        {{
          store.access.role === 'reader'
            ? 'You read this plan. Change anything to see what it would do: that is only supposed, and saved nowhere.'
            : 'You change what is said of you, the bike you ride, and what you bring. Whatever else you change is only supposed, and saved nowhere.'
        }}
      </p>
    </section>
    <InvitePanel v-if="people.isKnown && isOwner" />
    <PastSaves v-if="people.isKnown" />
    <BaseDialog :open="asked !== undefined" :title="asked?.title ?? ''" @close="asked = undefined">
      <p>{{ asked?.words }}</p>
      <FaultLines class="mt-3" :lines="lines" />
      <div class="mt-4 flex flex-wrap justify-end gap-2">
        <button type="button" class="button" @click="asked = undefined">Leave it as it is</button>
        <button type="button" class="button button-main" :disabled="busy" @click="goOn">{{ asked?.doIt }}</button>
      </div>
    </BaseDialog>
  </div>
</template>
