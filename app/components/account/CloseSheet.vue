<script setup lang="ts">
const { busy, lines, attempt } = useAttempt()
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
  <section class="sheet border-madder p-4" aria-labelledby="close-title">
    <h2 id="close-title" class="text-lg">Delete the account</h2>
    <p class="my-3 text-sm text-soft">
      Everything of yours goes, on the server and on this device, and cannot be brought back. Export it first if you may
      want it again.
    </p>
    <button type="button" class="knob text-madder!" @click="isOpen = true">Delete the account …</button>
    <TinDialog :open="isOpen" title="Delete the account" @close="isOpen = false">
      <form class="space-y-3" @submit.prevent="submit">
        <p>Your account, all your trips and what lies in the bin are deleted for good, at once.</p>
        <PasswordProof v-model="password" />
        <FaultLines :lines="lines" />
        <div class="flex justify-end gap-2">
          <button type="button" class="knob" @click="isOpen = false">Keep it</button>
          <button type="submit" class="knob text-madder!" :disabled="busy">Delete it for good</button>
        </div>
      </form>
    </TinDialog>
  </section>
</template>
