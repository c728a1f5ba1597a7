<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../http/api'
import { useRequest } from '../../composables/useRequest'
import { usePerson } from '../../stores/person'
import FaultLines from '../common/FaultLines.vue'
import EmailField from '../door/EmailField.vue'
import PasswordProof from '../door/PasswordProof.vue'

const { person, sendsLetters, ask } = usePerson()
const { busy, lines, attempt } = useRequest()
const email = ref('')
const password = ref('')
const done = ref('')

function submit() {
  done.value = ''
  void attempt(async () => {
    await api('/api/account/address', { method: 'PUT', body: { email: email.value, password: password.value } })
    await ask()
    done.value = `You sign in as ${person.value?.email} from now on.`
    email.value = ''
    password.value = ''
  })
}
</script>

<template>
  <form class="card space-y-3 p-4" aria-labelledby="address-title" @submit.prevent="submit">
    <h2 id="address-title" class="text-lg">E-mail address</h2>
    <p class="text-sm text-soft">
      You sign in as <strong class="text-ink">{{ person?.email }}</strong>.<template v-if="sendsLetters">
        A letter says so there when it changes.</template
      >
    </p>
    <EmailField v-model="email" label="New address" />
    <PasswordProof v-model="password" />
    <FaultLines :lines="lines" />
    <p v-if="done" role="status" class="text-sm font-semibold text-petrol">{{ done }}</p>
    <button type="submit" class="button" :disabled="busy">Change the address</button>
  </form>
</template>
