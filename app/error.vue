<script setup lang="ts">
import type { NuxtError } from 'nuxt/app'
import { clearError, useHead } from '#imports'
import AppHeader from './components/frame/AppHeader.vue'

/** What is shown instead of a page: there is none at this address, or it could not be made. */
const { error } = defineProps<{ error: NuxtError }>()
const isMissing = error.status === 404
useHead({ title: `${isMissing ? 'No such page' : 'Failed'} · Rag Tin` })

const address = location.pathname
const loadAgain = () => location.reload()
const goHome = () => clearError({ redirect: '/' })
</script>

<template>
  <div class="flex min-h-full flex-col">
    <AppHeader />
    <main v-if="isMissing" class="mx-auto w-full max-w-md p-8">
      <h1 class="text-2xl">There is no such page</h1>
      <p class="mt-2 [overflow-wrap:anywhere] text-soft">
        Nothing is at <span class="font-mono">{{ address }}</span>. The address may be mistyped, or out of date.
      </p>
      <button type="button" class="button button-main mt-4" @click="goHome">To the first page</button>
    </main>
    <main v-else class="mx-auto w-full max-w-md p-8">
      <h1 class="text-2xl">The page could not be shown</h1>
      <p class="mt-2 [overflow-wrap:anywhere] text-soft">The fault is ours: {{ error.message }}</p>
      <p class="mt-4 flex gap-2">
        <button type="button" class="button button-main" @click="loadAgain">Load it again</button>
        <button type="button" class="button" @click="goHome">To the first page</button>
      </p>
    </main>
  </div>
</template>
