<script setup lang="ts">
import { useAsyncData, useHead } from '#imports'
import FaultLines from '../components/common/FaultLines.vue'
import AppHeader from '../components/frame/AppHeader.vue'
import { api, linesOf, statusOf } from '../http/api'
import { localeOfApp } from '../components/common/locale-of-app'

useHead({ title: 'Letters of the demo · Rag Tin' })

interface Letter {
  id: number
  to: string
  subject: string
  text: string
  at: string
}
const { data } = await useAsyncData('letters', async () => {
  try {
    return { letters: await api<Letter[]>('/api/demo/letters'), lines: [] }
  } catch (error) {
    return { letters: undefined, lines: statusOf(error) === 404 ? [] : linesOf(error) }
  }
})
/** The words of a letter with the links in it apart. */
const piecesOf = (text: string) => text.split(/(https?:\/\/\S+)/).map((piece, i) => ({ piece, isLink: i % 2 === 1 }))
const timeOf = (at: string) => new Date(at).toLocaleTimeString(localeOfApp, { hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <div class="flex min-h-full flex-col">
    <AppHeader />
    <main class="mx-auto w-full max-w-2xl flex-1 p-6 max-sm:p-4">
      <h1 class="text-2xl">Letters of the demo</h1>
      <p v-if="data?.letters" class="mt-2 text-soft">
        The demo sends no mail. What it would have sent lies here, the latest first, for everybody to read.
      </p>
      <p v-else class="mt-2 text-soft">There are none here: letters go to whom they are written to.</p>
      <FaultLines class="mt-4" :lines="data?.lines ?? []" />
      <p v-if="data?.letters && !data.letters.length" class="mt-6 text-soft">No letter yet.</p>
      <article v-for="letter in data?.letters" :key="letter.id" class="card mt-4 p-4">
        <h2 class="text-lg">{{ letter.subject }}</h2>
        <p class="text-sm text-soft">to {{ letter.to }}, at {{ timeOf(letter.at) }}</p>
        <p class="mt-3 whitespace-pre-line">
          <template v-for="({ piece, isLink }, i) in piecesOf(letter.text)" :key="i">
            <a v-if="isLink" :href="piece" class="font-semibold text-petrol underline">{{ piece }}</a>
            <template v-else>{{ piece }}</template>
          </template>
        </p>
      </article>
    </main>
  </div>
</template>
