<script setup lang="ts">
import { catalogue } from '#catalogue'
import { failureInWords, hoursInWords, timesInWords } from '#wording'
import { computed } from 'vue'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import TermHint from '../common/TermHint.vue'
import WhatIsLacking from './WhatIsLacking.vue'

/** What the kit leaves to luck: failures that nothing carried answers. */
const kit = useKitStore()
const store = useTripStore()
const { stretch } = useView()
const { failures, gap, worstGap, showFailure } = useVerdicts()

const most = 7
/** Fewer hours than a minute are not told. */
const leastH = 1 / 60
/** What is answered most of the time, but for a tool that may fail, is not left to luck. */
const leastShare = 0.3
const open = computed(() =>
  (kit.kit?.balance.events ?? [])
    .flatMap((account) => {
      const failure = failures.value.get(account.event)
      if (!failure) return []
      const where = gap.value ?? worstGap(failure).gap
      return [{ ...account, note: failure.note, hours: account.open.hours * failure.share, where }]
    })
    .filter(({ hours, open: left, bare }) => hours > leastH && left.hours > leastShare * bare.hours)
    .sort((a, b) => b.hours - a.hours),
)
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id
</script>

<template>
  <section v-if="kit.kit" aria-labelledby="open-title" class="border-t-2 border-ink px-4 py-3">
    <h2 id="open-title" class="text-base"><TermHint term="left to luck">Left to luck</TermHint></h2>
    <p v-if="!failures.size" class="mt-1 text-sm text-soft">Nothing may break on this road that is known of.</p>
    <p v-else-if="!open.length" class="mt-1 text-sm text-soft">
      The kit has an answer to everything that would cost more than a minute in the mean.
    </p>
    <template v-else>
      <p class="mt-1 text-sm text-soft">Nothing in the kit answers these; the largest:</p>
      <ul class="mt-2 border-t border-line">
        <li
          v-for="{ event, expected, note, bare, hours, where } in open.slice(0, most)"
          :key="event"
          class="border-b border-line"
        >
          <button
            type="button"
            class="grid w-full grid-cols-[1fr_auto] gap-2 py-1.5 text-left text-sm hover:bg-well"
            @click="showFailure(event)"
          >
            <span
              >{{ failureInWords(note, catalogue, store.trip?.bikes ?? [])
              }}<span class="block text-xs text-soft"
                >{{ bikeName(note.bike)
                }}<template v-if="where">, worst {{ stretch(where.fromKm, where.toKm) }}</template
                >; {{ timesInWords(expected) }}, {{ hoursInWords(bare.hours / expected) }} each</span
              ></span
            >
            <span class="figures font-semibold text-lacking">{{ hoursInWords(hours) }}</span>
          </button>
        </li>
      </ul>
    </template>
    <WhatIsLacking class="mt-4" />
  </section>
</template>
