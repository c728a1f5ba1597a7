<script setup lang="ts">
import { NuxtLink } from '#components'
import { navigateTo, useHead, useRoute } from '#imports'
import { onMounted, ref } from 'vue'
import FaultLines from '../components/common/FaultLines.vue'
import DoorFrame from '../components/door/DoorFrame.vue'
import NewPasswordField from '../components/door/NewPasswordField.vue'
import { api } from '../http/api'
import { useRequest } from '../composables/useRequest'
import { usePerson } from '../stores/person'

useHead({ title: 'A new password · Rag Tin' })
const { ask } = usePerson()
const { busy, lines, attempt } = useRequest()
const newPassword = ref('')
// It stands behind the #, which a browser keeps to itself; from here on it is not in the address either.
const token = useRoute().hash.slice(1)
onMounted(() => history.replaceState(history.state, '', '/new-password'))

function submit() {
  void attempt(async () => {
    await api('/api/account/new-password', { method: 'POST', body: { token, newPassword: newPassword.value } })
    await ask()
    await navigateTo('/trips')
  })
}
</script>

<template>
  <DoorFrame brief>
    <h2 id="door" class="mb-3 text-xl">A new password</h2>
    <p v-if="!token" class="text-soft">Open this page by the link in your letter.</p>
    <form v-else class="space-y-3" @submit.prevent="submit">
      <NewPasswordField v-model="newPassword" />
      <p class="text-sm text-soft">All your devices will be signed out, and this one signed in.</p>
      <FaultLines :lines="lines" />
      <button type="submit" class="button button-main w-full" :disabled="busy">Set it and sign in</button>
    </form>
    <p class="mt-4 text-sm">
      <NuxtLink to="/forgotten" class="font-semibold underline">Have another letter sent</NuxtLink>
    </p>
  </DoorFrame>
</template>
