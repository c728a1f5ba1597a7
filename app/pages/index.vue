<script setup lang="ts">
useHead({ title: 'Rag Tin' })
const { person, standing, ask } = usePerson()
const route = useRoute()
const { demo } = useRuntimeConfig().public

const mode = ref<'in' | 'up'>('in')
const name = ref('')
const email = ref('')
const password = ref('')
const lines = ref<string[]>([])
const busy = ref(false)

async function goOn() {
  await ask()
  const next = route.query.next
  await navigateTo(typeof next === 'string' && /^\/trips(\/|$)/.test(next) ? next : '/trips')
}
await ask()
if (standing.value === 'signed in') await goOn()
else if (person.value) email.value = person.value.email

async function attempt(request: () => Promise<unknown>) {
  busy.value = true
  lines.value = []
  try {
    await request()
    await goOn()
  } catch (error) {
    lines.value = linesOf(error)
  } finally {
    busy.value = false
  }
}
function submit() {
  const secret = { email: email.value, password: password.value }
  void attempt(() =>
    mode.value === 'up'
      ? api('/api/account', { method: 'POST', body: { name: name.value, ...secret } })
      : api('/api/session', { method: 'POST', body: secret }),
  )
}
const stepIn = () => void attempt(() => api('/api/demo/session', { method: 'POST' }))
</script>

<template>
  <main class="grid min-h-full lg:grid-cols-[1.15fr_1fr]">
    <section class="flex flex-col justify-between gap-10 bg-tin p-8 text-tin-ink sm:p-12">
      <p class="flex items-center gap-3 text-xl font-bold [font-stretch:115%]">
        <img src="/tin.svg" alt="" class="size-9" />Rag Tin
      </p>
      <div class="max-w-xl">
        <h1 class="text-4xl leading-[1.08] text-balance sm:text-5xl">How much walking does it save me, per gram?</h1>
        <p class="mt-5 max-w-md text-base text-tin-ink/85">
          Lay your road and your tools on the bench. Rag Tin reckons what can fail between two places that could help,
          how long the walk out would be, and which things in the tin earn their weight.
        </p>
      </div>
      <svg viewBox="0 0 560 90" class="w-full max-w-2xl" aria-hidden="true">
        <path
          d="M0 74 C40 70 60 22 104 30 S150 76 196 72 236 8 304 6 396 70 430 72 476 40 508 44 540 70 560 72V78H0z"
          fill="#7cc2b6"
          opacity=".22"
        />
        <path
          d="M0 74 C40 70 60 22 104 30 S150 76 196 72 236 8 304 6 396 70 430 72 476 40 508 44 540 70 560 72"
          fill="none"
          stroke="#7cc2b6"
          stroke-width="2"
        />
        <path d="M0 78H560" stroke="#f4ecd8" stroke-width="2" />
        <path d="M1 70v16M196 70v16M430 70v16M559 70v16" stroke="#f4ecd8" stroke-width="4" />
        <path d="M304 6V78" stroke="#f39a8b" stroke-width="1.6" />
        <circle cx="304" cy="6" r="4.5" fill="#f39a8b" />
      </svg>
    </section>
    <section class="flex items-center justify-center p-8" aria-labelledby="door">
      <div class="w-full max-w-sm">
        <template v-if="demo">
          <button type="button" class="knob knob-main w-full py-3!" :disabled="busy" @click="stepIn">
            Step in as the demo rider
          </button>
          <p
            class="my-4 flex items-center gap-3 text-sm text-soft before:h-px before:flex-1 before:bg-line after:h-px after:flex-1 after:bg-line"
          >
            or with an account
          </p>
        </template>
        <template v-if="person && standing !== 'signed in'">
          <NuxtLink to="/trips" class="knob w-full">Go on with what is on this device, {{ person.name }}</NuxtLink>
          <p class="mb-5 mt-2 text-sm text-soft">Nothing is saved on the server until you sign in again.</p>
        </template>
        <h2 id="door" class="mb-3 text-xl">{{ mode === 'in' ? 'Sign in' : 'Sign up' }}</h2>
        <form class="space-y-3" @submit.prevent="submit">
          <label v-if="mode === 'up'" class="block text-sm text-soft"
            >Name<input v-model="name" class="slot mt-1 text-ink" autocomplete="name" required maxlength="120"
          /></label>
          <label class="block text-sm text-soft"
            >E-mail address<input
              v-model="email"
              class="slot mt-1 text-ink"
              type="email"
              autocomplete="email"
              required
              maxlength="190"
          /></label>
          <label class="block text-sm text-soft"
            >Password
            <input
              v-model="password"
              class="slot mt-1 text-ink"
              type="password"
              :autocomplete="mode === 'in' ? 'current-password' : 'new-password'"
              required
              :minlength="mode === 'up' ? 8 : 1"
              maxlength="200"
            />
            <span v-if="mode === 'up'" class="text-xs">Eight characters or more; a few words make a good one.</span>
          </label>
          <FaultLines :lines="lines" />
          <button type="submit" class="knob w-full" :class="demo ? '' : 'knob-main'" :disabled="busy">
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
      </div>
    </section>
  </main>
</template>
