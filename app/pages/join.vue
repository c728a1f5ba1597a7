<script setup lang="ts">
import { NuxtLink } from '#components'
import { navigateTo, useHead, useRoute } from '#imports'
import { computed, onMounted, ref, shallowRef } from 'vue'
import FaultLines from '../components/common/FaultLines.vue'
import DoorFrame from '../components/door/DoorFrame.vue'
import { useRequest } from '../composables/useRequest'
import { api, linesOf } from '../http/api'
import { usePerson } from '../stores/person'

/** Where a link leads that somebody was sent: what it is to, and joining it. */
useHead({ title: 'An invitation · Rag Tin' })

interface Invited {
  readonly trip: string
  readonly owner: string
  readonly role: 'rider' | 'reader'
  readonly rider: string | null
}

const { person, signInState, ask } = usePerson()
const { busy, lines, attempt } = useRequest()
// It stands behind the #, which a browser keeps to itself. Signing in leads away and back, so the window keeps it meanwhile.
const kept = 'rag-tin.invitation'
const token = useRoute().hash.slice(1) || (sessionStorage.getItem(kept) ?? '')
const invited = shallowRef<Invited>()
const unreached = ref<string[]>([])
if (token) sessionStorage.setItem(kept, token)
onMounted(() => history.replaceState(history.state, '', '/join'))

const isSignedIn = computed(() => signInState.value === 'signed in')
if (signInState.value === 'not asked') await ask()
async function look() {
  unreached.value = []
  try {
    invited.value = await api<Invited>('/api/invitations/look', { method: 'POST', body: { token } })
  } catch (error) {
    unreached.value = linesOf(error)
  }
}
if (token) await look()

const join = () =>
  attempt(async () => {
    const { trip } = await api<{ trip: string }>('/api/invitations/join', { method: 'POST', body: { token } })
    sessionStorage.removeItem(kept)
    await navigateTo(`/trips/${trip}/weigh`)
  })
</script>

<template>
  <DoorFrame brief>
    <h2 id="door" class="mb-3 text-xl">An invitation</h2>
    <p v-if="!token" class="text-soft">Open this page by the link that you were sent.</p>
    <template v-else-if="unreached.length">
      <FaultLines :lines="unreached" />
      <button type="button" class="button mt-4 w-full" @click="look">Try again</button>
    </template>
    <template v-else-if="invited">
      <p class="[overflow-wrap:anywhere]">
        <strong>{{ invited.owner }}</strong> invites you to <template v-if="invited.role === 'reader'">read</template
        ><template v-else>ride along{{ invited.rider ? ` as ${invited.rider}` : '' }} in</template> the plan
        <strong>{{ invited.trip }}</strong>.
      </p>
      <p class="mt-2 text-sm text-soft">
        {{
          invited.role === 'reader'
            ? 'You see all of it, and change nothing.'
            : 'You see all of it, and change your hands, your bike and what you bring. Whoever shares it sees your name and that; your shed stays yours.'
        }}
      </p>
      <FaultLines class="mt-4" :lines="lines" />
      <button v-if="isSignedIn" type="button" class="button button-main mt-4 w-full" :disabled="busy" @click="join">
        Join as {{ person?.name }}
      </button>
      <template v-else>
        <NuxtLink :to="{ path: '/', query: { next: '/join', up: '' } }" class="button button-main mt-4 w-full"
          >Sign up to join</NuxtLink
        >
        <NuxtLink :to="{ path: '/', query: { next: '/join' } }" class="button mt-2 w-full"
          >I have an account: sign in</NuxtLink
        >
      </template>
    </template>
  </DoorFrame>
</template>
