<script setup lang="ts">
import type { OwnedThing } from '#core/shed'
import { formatMoney } from '#core/money'
import { NuxtLink } from '#components'
import { computed } from 'vue'
import { useShed } from '../../stores/shed'
import { useView } from '../../stores/view'
import { localeOfApp } from '../common/locale-of-app'
import FaultLines from '../common/FaultLines.vue'

/** How it stands with what was edited in the shed, and what somebody has to decide. */
const { state, conflicts, settle, tryAgain } = useShed()
const { grams } = useView()

const lines = computed(() => ('lines' in state.value ? state.value.lines : []))

const fieldWords: Partial<Record<keyof OwnedThing, string>> = {
  massG: 'mass',
  count: 'how many',
  trustedTo: 'trust',
  isWeighed: 'weighed',
  units: 'stock',
  provides: 'what it does',
  volumeMl: 'volume',
  longestMm: 'longest side',
  handling: 'what is minded in packing',
}
function sideInWords(thing: OwnedThing, fields: readonly (keyof OwnedThing)[]): string {
  return fields
    .map((field) => {
      const value = thing[field]
      const said =
        field === 'massG'
          ? grams(thing.massG)
          : field === 'price' && thing.price !== null
            ? formatMoney(thing.price, thing.currency, localeOfApp)
            : typeof value === 'object'
              ? value === null
                ? 'nothing'
                : 'other'
              : String(value)
      return `${fieldWords[field] ?? field}: ${said}`
    })
    .join(', ')
}
</script>

<template>
  <div class="space-y-2 empty:hidden">
    <p v-if="state.kind === 'signed out'" class="flex flex-wrap items-center justify-between gap-2 text-sm">
      <span>Your sign-in has ended. What is edited here stays on this device.</span>
      <NuxtLink :to="{ path: '/', query: { next: '/shed' } }" class="button">Sign in again</NuxtLink>
    </p>
    <template v-else-if="lines.length">
      <FaultLines
        :lines="lines"
        :title="state.kind === 'refused' ? 'Not saved; it stays on this device.' : 'Not reached.'"
      />
      <button type="button" class="button" @click="tryAgain">Try again</button>
    </template>
    <ul v-if="conflicts.length" aria-label="Changed here and elsewhere" class="space-y-2">
      <li
        v-for="{ id, here, there, fields } in conflicts"
        :key="id"
        class="rounded border border-madder bg-madder-wash p-3 text-sm"
      >
        <p>
          <strong>{{ here.name }}</strong> was changed here and elsewhere. Nothing of it is saved until you choose.
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="button" @click="settle(id, 'here')">
            Keep from here: {{ sideInWords(here, fields) }}
          </button>
          <button type="button" class="button" @click="settle(id, 'there')">
            Take from there: {{ sideInWords(there, fields) }}
          </button>
        </div>
      </li>
    </ul>
  </div>
</template>
