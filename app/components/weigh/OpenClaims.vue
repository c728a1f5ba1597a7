<script setup lang="ts">
import { catalogue } from '#catalogue'
import { claimInWords, chanceInWords, hoursInWords } from '#wording'
import { computed } from 'vue'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import MissingTools from './MissingTools.vue'

/** What the kit leaves to luck: claims that nothing carried answers. */
const kit = useKitStore()
const store = useTripStore()
const selection = useSelection()
const { stretch } = useView()
const { notes, gap } = useVerdicts()

const most = 7
const claims = computed(() => new Map((kit.analysis?.built?.ledger.claims ?? []).map((claim) => [claim.id, claim])))
const open = computed(() => {
  return (kit.analysis?.kit?.openClaims ?? []).flatMap(({ claim, expectedH }) => {
    const note = notes.value.get(claim)
    const entry = claims.value.get(claim)
    const inGap = !gap.value || (note && note.gap.fromKm < gap.value.toKm && gap.value.fromKm < note.gap.toKm)
    return note && entry && inGap ? [{ note, entry, expectedH }] : []
  })
})
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id
</script>

<template>
  <section v-if="kit.analysis?.kit" aria-labelledby="open-title" class="border-t-2 border-ink px-4 py-3">
    <h2 id="open-title" class="text-base">Left to luck</h2>
    <p v-if="!claims.size" class="mt-1 text-sm text-soft">
      Nothing that may break on this road costs a walk worth carrying for.
    </p>
    <p v-else-if="!open.length" class="mt-1 text-sm text-soft">The kit has an answer to every claim.</p>
    <template v-else>
      <p class="mt-1 text-sm text-soft">Nothing in the kit answers these {{ open.length }}; the largest:</p>
      <ul class="mt-2 border-t border-line">
        <li v-for="{ note, entry, expectedH } in open.slice(0, most)" :key="note.claim" class="border-b border-line">
          <button
            type="button"
            class="grid w-full grid-cols-[3.4rem_1fr_auto] gap-2 py-1.5 text-left text-sm hover:bg-well"
            @click="selection.showClass(note.settledBy, note.gap)"
          >
            <span class="figures font-semibold">{{ chanceInWords(entry.probability) }}</span>
            <span
              >{{ claimInWords(note, catalogue)
              }}<span class="block text-xs text-soft"
                >{{ bikeName(note.bike) }}, {{ stretch(note.gap.fromKm, note.gap.toKm) }},
                {{ hoursInWords(entry.lossH) }} on foot</span
              ></span
            >
            <span class="figures font-semibold text-madder">{{ hoursInWords(expectedH) }}</span>
          </button>
        </li>
      </ul>
    </template>
    <MissingTools v-if="kit.analysis.built?.stuck.length" class="mt-4" :stuck="kit.analysis.built.stuck" />
  </section>
</template>
