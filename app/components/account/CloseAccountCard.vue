<script setup lang="ts">
import { navigateTo } from '#imports'
import { ref } from 'vue'
import { api } from '../../http/api'
import { useRequest } from '../../composables/useRequest'
import { wipeDevice } from '../../stores/trip-sessions'
import FaultLines from '../common/FaultLines.vue'
import BaseDialog from '../common/BaseDialog.vue'
import PasswordProof from '../door/PasswordProof.vue'

const { busy, lines, attempt } = useRequest()
const isOpen = ref(false)
const password = ref('')

function submit() {
  void attempt(async () => {
    await api('/api/account/close', { method: 'POST', body: { password: password.value } })
    await wipeDevice()
    await navigateTo('/')
  })
}
</script>

<template>
  <section class="card border-madder p-4" aria-labelledby="close-title">
    <h2 id="close-title" class="text-lg">Delete the account</h2>
    <p class="my-3 text-sm text-soft">
      Everything of yours goes, on the server and on this device, and cannot be brought back. Export it first if you may
      want it again.
    </p>
    <button type="button" class="button text-madder!" @click="isOpen = true">Delete the account …</button>
    <BaseDialog :open="isOpen" title="Delete the account" @close="isOpen = false">
      <form class="space-y-3" @submit.prevent="submit">
        <p>Your account, all your trips and what lies in the bin are deleted for good, at once.</p>
        <p>Trips that others ride with you go on: the one who joined first becomes their owner.</p>
        <PasswordProof v-model="password" />
        <FaultLines :lines="lines" />
        <div class="flex justify-end gap-2">
          <button type="button" class="button" @click="isOpen = false">Keep it</button>
          <button type="submit" class="button text-madder!" :disabled="busy">Delete it for good</button>
        </div>
      </form>
    </BaseDialog>
  </section>
</template>
