<script setup lang="ts">
import { NuxtLink } from '#components'
import { navigateTo, useHead, useRoute, useRuntimeConfig } from '#imports'
import { ref } from 'vue'
import FaultLines from '../components/common/FaultLines.vue'
import FilePicker from '../components/common/FilePicker.vue'
import DoorBeam from '../components/door/DoorBeam.vue'
import DoorFrame from '../components/door/DoorFrame.vue'
import EmailField from '../components/door/EmailField.vue'
import NewPasswordField from '../components/door/NewPasswordField.vue'
import PasswordProof from '../components/door/PasswordProof.vue'
import { api } from '../http/api'
import { useRequest } from '../composables/useRequest'
import { useFileDrop } from '../composables/useFileDrop'
import { firstRider, tripFiles, useNewTrip } from '../composables/useNewTrip'
import { usePerson } from '../stores/person'
import { useTripSessions } from '../stores/trip-sessions'
import { laySampleInAccount, laySampleOnDevice, settleOwnTrips, takeOverOwnTrips } from '../stores/trips'

useHead({ title: 'Rag Tin' })
const { person, isGuest, signInState, sendsLetters, ask, stayGuest } = usePerson()
const route = useRoute()
const { demo } = useRuntimeConfig().public

const mode = ref<'in' | 'up'>('up' in route.query ? 'up' : 'in')
const name = ref('')
const email = ref('')
const password = ref('')
const { busy, lines, attempt } = useRequest()

async function goOn() {
  await ask()
  // What waits on this device since a sign-in ended is brought to the server, whichever page comes next.
  if (signInState.value === 'signed in') void useTripSessions().then((sessions) => sessions.tryAgain())
  const next = route.query.next
  await navigateTo(typeof next === 'string' && /^\/(trips|shed|account|join)(\/|$)/.test(next) ? next : '/trips')
}
await ask()
if (signInState.value === 'signed in') await goOn()
else if (person.value && !isGuest.value) email.value = person.value.email
/** Whoever is not known here, and was not sent here to sign in or up, looks round first. */
const inviting = !person.value && !('up' in route.query) && !('next' in route.query)

function submit() {
  const secret = { email: email.value, password: password.value }
  void attempt(async () => {
    const wasGuest = isGuest.value
    await settleOwnTrips()
    if (mode.value === 'up') {
      await api('/api/account', { method: 'POST', body: { name: name.value, ...secret } })
      // Without the sample an account is as good; and who comes with trips of their own has looked round.
      if (!wasGuest) await laySampleInAccount().catch(() => undefined)
    } else await api('/api/session', { method: 'POST', body: secret })
    // Before the page knows who has signed in, so that the list of trips has them; what fails waits there to be asked for.
    if (wasGuest) await takeOverOwnTrips().catch(() => undefined)
    await goOn()
  })
}

/** A road without an account: whoever has none yet goes on as a guest of this device. */
const tryWith = (file: File) =>
  beginWith(file, [firstRider()], async () => {
    if (!person.value) await stayGuest()
  })
const { lines: refused, beginWith } = useNewTrip()
const over = useFileDrop((file) => void tryWith(file))
async function goOnAsGuest() {
  await stayGuest()
  await laySampleOnDevice().catch(() => undefined)
  await navigateTo('/trips')
}

const stepIn = () =>
  void attempt(async () => {
    await api('/api/demo/session', { method: 'POST' })
    await goOn()
  })
</script>

<template>
  <DoorFrame :inviting="inviting" :class="over ? 'outline-4 outline-dashed -outline-offset-8 outline-petrol' : ''">
    <template #weighed><DoorBeam /></template>
    <section v-if="!person" aria-labelledby="try" class="mb-6">
      <h2 id="try" class="mb-1 text-xl">Try it on your road</h2>
      <p class="mb-3 text-sm text-soft">No account: what you make stays on this device.</p>
      <FilePicker class="button-main w-full py-3!" label="GPX file or trip document" :accept="tripFiles" @file="tryWith"
        >Lay out a GPX file</FilePicker
      >
      <button type="button" class="button mt-2 w-full" @click="goOnAsGuest">Begin without a file</button>
    </section>
    <FaultLines class="mb-4" :lines="refused" title="Not taken." />
    <template v-if="person && signInState !== 'signed in'">
      <NuxtLink to="/trips" class="button button-main w-full"
        >Go on with what is on this device{{ isGuest ? '' : `, ${person.name}` }}</NuxtLink
      >
      <p class="mb-5 mt-2 text-sm text-soft">
        {{
          isGuest
            ? 'It lies here alone until you sign up; it comes along then.'
            : 'Nothing is saved on the server until you sign in again.'
        }}
      </p>
    </template>
    <button v-if="demo" type="button" class="button w-full" :disabled="busy" @click="stepIn">
      Step in as the demo rider
    </button>
    <template #account>
      <p
        v-if="demo"
        class="my-4 flex items-center gap-3 text-sm text-soft before:h-px before:flex-1 before:bg-line after:h-px after:flex-1 after:bg-line"
        :class="{ 'max-lg:hidden': inviting }"
      >
        or with an account
      </p>
      <h2 id="door" class="mb-3 text-xl">{{ mode === 'in' ? 'Sign in' : 'Sign up' }}</h2>
      <form class="space-y-3" @submit.prevent="submit">
        <label v-if="mode === 'up'" class="block text-sm text-soft"
          >Name<input v-model="name" class="field mt-1 text-ink" autocomplete="name" required maxlength="120"
        /></label>
        <EmailField v-model="email" />
        <NewPasswordField v-if="mode === 'up'" v-model="password" label="Password" />
        <PasswordProof v-else v-model="password" label="Password" />
        <FaultLines :lines="lines" />
        <button type="submit" class="button w-full" :class="demo ? '' : 'button-main'" :disabled="busy">
          {{ mode === 'in' ? 'Sign in' : 'Sign up' }}
        </button>
      </form>
      <p class="mt-4 text-sm text-soft">
        {{ mode === 'in' ? 'No account yet?' : 'An account already?' }}
        <button
          type="button"
          class="font-semibold text-ink underline"
          @click="((mode = mode === 'in' ? 'up' : 'in'), (lines = []))"
        >
          {{ mode === 'in' ? 'Sign up' : 'Sign in' }}
        </button>
      </p>
      <p v-if="mode === 'in' && sendsLetters" class="mt-2 text-sm text-soft">
        Password forgotten?
        <NuxtLink :to="{ path: '/forgotten', state: { email } }" class="font-semibold text-ink underline"
          >Have a letter sent</NuxtLink
        >
      </p>
    </template>
  </DoorFrame>
</template>
