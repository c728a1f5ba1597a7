<script setup lang="ts">
import { NuxtLink } from '#components'
import { useHead, useRuntimeConfig } from '#imports'
import { ref } from 'vue'
import FaultLines from '../components/common/FaultLines.vue'
import DoorFrame from '../components/door/DoorFrame.vue'
import EmailField from '../components/door/EmailField.vue'
import { api } from '../http/api'
import { useRequest } from '../composables/useRequest'
import { usePerson } from '../stores/person'

useHead({ title: 'Password forgotten · Rag Tin' })
const { demo } = useRuntimeConfig().public
const { sendsLetters, ask } = usePerson()
const { busy, lines, attempt } = useRequest()
// What was typed at the door comes along by the browser's history: an address in a link would be written down anywhere.
const typed = (history.state as { email?: unknown }).email
const email = ref(typeof typed === 'string' ? typed : '')
const askedFor = ref('')
await ask()

function submit() {
  void attempt(async () => {
    await api('/api/account/forgotten', { method: 'POST', body: { email: email.value } })
    askedFor.value = email.value
  })
}
</script>

<template>
  <DoorFrame brief>
    <h2 id="door" class="mb-3 text-xl">Password forgotten</h2>
    <p v-if="!sendsLetters" class="text-soft">No letters are sent from here. Whoever runs this Rag Tin can help.</p>
    <template v-else-if="askedFor">
      <p role="status">
        If <strong>{{ askedFor }}</strong> has an account, a letter is on its way there. It lets you choose a new
        password, within an hour.
      </p>
      <p v-if="demo" class="mt-3 text-sm text-soft">
        The demo sends nothing: its letters lie
        <NuxtLink to="/letters" class="font-semibold text-ink underline">here for all to read</NuxtLink>.
      </p>
    </template>
    <form v-else class="space-y-3" @submit.prevent="submit">
      <EmailField v-model="email" />
      <FaultLines :lines="lines" />
      <button type="submit" class="button button-main w-full" :disabled="busy">Have a letter sent</button>
    </form>
    <p class="mt-4 text-sm"><NuxtLink to="/" class="font-semibold underline">Back to the door</NuxtLink></p>
  </DoorFrame>
</template>
