<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../http/api'
import { useRequest } from '../../composables/useRequest'
import FaultLines from '../common/FaultLines.vue'
import NewPasswordField from '../door/NewPasswordField.vue'
import PasswordProof from '../door/PasswordProof.vue'

const emit = defineEmits<{ changed: [] }>()
const { busy, lines, attempt } = useRequest()
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
  <form class="card space-y-3 p-4" aria-labelledby="password-title" @submit.prevent="submit">
    <h2 id="password-title" class="text-lg">Password</h2>
    <PasswordProof v-model="password" />
    <NewPasswordField v-model="newPassword" />
    <FaultLines :lines="lines" />
    <p v-if="isDone" role="status" class="text-sm font-semibold text-petrol">
      Changed. All your other devices are signed out.
    </p>
    <button type="submit" class="button" :disabled="busy">Change the password</button>
  </form>
</template>
