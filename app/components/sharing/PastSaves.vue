<script setup lang="ts">
import { computed } from 'vue'
import { changeInWords } from '../../session/words'
import { savesTogether } from '../../session/saves-together'
import { usePeople } from '../../stores/people'
import { localeOfApp } from '../common/locale-of-app'

/** Who changed what, the latest first. */
const people = usePeople()
const past = computed(() => savesTogether(people.history ?? []))
const whenOf = (at: string) =>
  new Date(at).toLocaleString(localeOfApp, { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <section aria-labelledby="past-title">
    <h2 id="past-title" class="text-base">Who changed what</h2>
    <p v-if="past.length === 0" class="mt-2 text-sm text-soft">Nothing yet.</p>
    <ol v-else class="mt-2 border-t border-line" aria-label="Who changed what">
      <li
        v-for="save in past"
        :key="`${save.at} ${save.by}`"
        class="grid gap-x-4 border-b border-line py-1.5 text-sm sm:grid-cols-[11rem_minmax(0,1fr)]"
      >
        <span class="[overflow-wrap:anywhere]"
          ><strong>{{ save.by || 'somebody who has left' }}</strong>
          <span class="block text-soft">{{ whenOf(save.at) }}</span></span
        >
        <ul class="[overflow-wrap:anywhere]">
          <li v-for="(line, i) in save.lines" :key="i">{{ changeInWords(line) }}</li>
          <li v-if="save.more" class="text-soft">and {{ save.more }} more</li>
        </ul>
      </li>
    </ol>
  </section>
</template>
