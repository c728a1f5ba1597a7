<script setup lang="ts">
const { person, ask } = usePerson()
const { busy, lines, attempt } = useAttempt()
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
  <form class="sheet space-y-3 p-4" aria-labelledby="name-title" @submit.prevent="submit">
    <h2 id="name-title" class="text-lg">Name</h2>
    <label class="block text-sm text-soft"
      >As you are called here<input
        v-model="name"
        class="slot mt-1 text-ink"
        autocomplete="name"
        required
        maxlength="120"
    /></label>
    <FaultLines :lines="lines" />
    <button type="submit" class="knob" :disabled="busy || !isChanged">Change the name</button>
  </form>
</template>
