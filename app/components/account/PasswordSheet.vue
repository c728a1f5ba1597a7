<script setup lang="ts">
const emit = defineEmits<{ changed: [] }>()
const { busy, lines, attempt } = useAttempt()
const password = ref('')
const newPassword = ref('')
const isDone = ref(false)

function submit() {
  isDone.value = false
  void attempt(async () => {
    const body = { password: password.value, newPassword: newPassword.value }
    await api('/api/account/password', { method: 'PUT', body })
    password.value = ''
    newPassword.value = ''
    isDone.value = true
    emit('changed')
  })
}
</script>

<template>
  <form class="sheet space-y-3 p-4" aria-labelledby="password-title" @submit.prevent="submit">
    <h2 id="password-title" class="text-lg">Password</h2>
    <PasswordProof v-model="password" />
    <NewPasswordField v-model="newPassword" />
    <FaultLines :lines="lines" />
    <p v-if="isDone" role="status" class="text-sm font-semibold text-petrol">
      Changed. All your other devices are signed out.
    </p>
    <button type="submit" class="knob" :disabled="busy">Change the password</button>
  </form>
</template>
