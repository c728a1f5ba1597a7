<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../../http/api'
import { useRequest } from '../../composables/useRequest'
import { usePerson } from '../../stores/person'
import FaultLines from '../common/FaultLines.vue'

const { person, ask } = usePerson()
const { busy, lines, attempt } = useRequest()
const name = ref(person.value?.name ?? '')
const isChanged = computed(() => name.value.trim() !== '' && name.value.trim() !== person.value?.name)

function submit() {
  void attempt(async () => {
    await api('/api/account', { method: 'PATCH', body: { name: name.value } })
    await ask()
    name.value = person.value?.name ?? name.value
  })
}
</script>

<template>
  <form class="card space-y-3 p-4" aria-labelledby="name-title" @submit.prevent="submit">
    <h2 id="name-title" class="text-lg">Name</h2>
    <label class="block text-sm text-soft"
      >As you are called here<input
        v-model="name"
        class="field mt-1 text-ink"
        autocomplete="name"
        required
        maxlength="120"
    /></label>
    <FaultLines :lines="lines" />
    <button type="submit" class="button" :disabled="busy || !isChanged">Change the name</button>
  </form>
</template>
