<script setup lang="ts">
import { ref } from 'vue'
import SignOutDialog from '../frame/SignOutDialog.vue'
import { localeOfApp } from '../common/locale-of-app'

/** Where somebody is signed in. */
defineProps<{ signedIn: readonly string[] }>()
const leaving = ref(false)
const dayOf = (at: string) =>
  new Date(at).toLocaleDateString(localeOfApp, { day: 'numeric', month: 'long', year: 'numeric' })
</script>

<template>
  <section class="card p-4" aria-labelledby="devices-title">
    <h2 id="devices-title" class="text-lg">Devices</h2>
    <p class="my-3 text-sm text-soft">
      {{ signedIn.length === 1 ? 'You are signed in here only,' : `You are signed in ${signedIn.length} times,` }}
      since {{ signedIn.map(dayOf).join(', ') }}. Each sign-in ends by itself after 30 days.
    </p>
    <button type="button" class="button" @click="leaving = true">Sign out everywhere</button>
    <SignOutDialog v-if="leaving" everywhere @close="leaving = false" />
  </section>
</template>
