<script setup lang="ts">
import { NuxtLink } from '#components'
import { definePageMeta, useHead } from '#imports'
import { computed, ref, shallowRef } from 'vue'
import AddressCard from '../components/account/AddressCard.vue'
import CloseAccountCard from '../components/account/CloseAccountCard.vue'
import DevicesCard from '../components/account/DevicesCard.vue'
import NameCard from '../components/account/NameCard.vue'
import PasswordCard from '../components/account/PasswordCard.vue'
import ExportCard from '../components/account/ExportCard.vue'
import IdentityCard from '../components/account/IdentityCard.vue'
import FaultLines from '../components/common/FaultLines.vue'
import AppHeader from '../components/frame/AppHeader.vue'
import { api, linesOf, statusOf } from '../http/api'
import { localeOfApp } from '../components/common/locale-of-app'

definePageMeta({ middleware: 'signed-in' })
useHead({ title: 'Account · Rag Tin' })

interface Account {
  since: string
  isShared: boolean
  signedIn: string[]
}
const account = shallowRef<Account>()
const lines = ref<string[]>([])
const signedOut = ref(false)

async function look() {
  lines.value = []
  try {
    account.value = await api<Account>('/api/account')
  } catch (error) {
    signedOut.value = statusOf(error) === 401
    lines.value = signedOut.value ? [] : linesOf(error)
  }
}
void look()
const since = computed(() =>
  new Date(account.value?.since ?? 0).toLocaleDateString(localeOfApp, {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  }),
)
</script>

<template>
  <div class="flex min-h-full flex-col">
    <AppHeader />
    <main class="mx-auto w-full max-w-4xl flex-1 p-6 max-sm:p-4">
      <h1 class="text-2xl">Account</h1>
      <FaultLines class="mt-4" :lines="lines" />
      <p v-if="signedOut" role="status" class="mt-3 flex items-center justify-between gap-3">
        <span>Your sign-in has ended.</span>
        <NuxtLink :to="{ path: '/', query: { next: '/account' } }" class="button">Sign in again</NuxtLink>
      </p>
      <template v-if="account">
        <p v-if="account.isShared" class="mt-2 max-w-prose text-soft">
          The demo rider is everybody’s and stays as it is. With an account of your own, its name, its address and its
          password are changed here, and it can be deleted.
        </p>
        <p v-else class="mt-1 text-sm text-soft">Since {{ since }}.</p>
        <div class="mt-5 grid items-start gap-5 grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
          <div v-if="!account.isShared" class="space-y-5">
            <NameCard />
            <AddressCard />
            <PasswordCard @changed="look" />
          </div>
          <div class="space-y-5">
            <DevicesCard v-if="!account.isShared" :signed-in="account.signedIn" />
            <ExportCard />
            <IdentityCard v-if="!account.isShared" />
            <CloseAccountCard v-if="!account.isShared" />
          </div>
        </div>
      </template>
      <p v-else-if="!lines.length && !signedOut" role="status" class="mt-4 text-soft">Looking …</p>
    </main>
  </div>
</template>
