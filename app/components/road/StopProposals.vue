<script setup lang="ts">
import { catalogue, placeWords } from '#catalogue'
import { isDoubted, nameOf, placesSeenOnce, proposalsFor, type Proposal } from '#core/supply'
import { Check, X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useStopEdits } from '../../composables/useStopEdits'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** What stops seem to have by their names and by what a file says of them: to be taken or not, one by one or all at once. */
const store = useTripStore()
const { takeProposals, ruleOut } = useStopEdits()
const { km } = useView()

const seen = placesSeenOnce(placeWords)
const proposals = computed(() => proposalsFor(store.openTrip.stops, seen))
const atFirst = 6
const showsAll = ref(false)
/** Two that are hidden at least: for one it is no use to ask. */
const isShort = computed(() => !showsAll.value && proposals.value.length > atFirst + 1)
const shown = computed(() => (isShort.value ? proposals.value.slice(0, atFirst) : proposals.value))
const what = ({ has }: Proposal) =>
  'exit' in has ? `way out by ${has.exit}` : (catalogue.services.find(({ id }) => id === has.service)?.name ?? '')
</script>

<template>
  <section
    v-if="proposals.length"
    id="proposals"
    tabindex="-1"
    aria-label="By their names"
    class="mx-4 mb-3 rounded border border-line bg-well px-3 py-2"
  >
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <p class="min-w-0 flex-1 text-sm">
        By their names, these stops have something. Take what is so; nothing counts before.
      </p>
      <button type="button" class="button" @click="takeProposals(proposals, 'take what stops have')">
        <Check :size="15" aria-hidden="true" />{{ proposals.length === 1 ? 'Take it' : `Take all ${proposals.length}` }}
      </button>
    </div>
    <ul class="mt-2 grid gap-x-6 gap-y-1 md:grid-cols-2">
      <li
        v-for="proposal in shown"
        :key="`${proposal.stop.id} ${nameOf(proposal.has)}`"
        class="flex min-w-0 items-center gap-2 text-sm"
      >
        <span class="min-w-0 flex-1 break-words"
          ><strong>{{ what(proposal) }}</strong
          >{{ isDoubted(proposal.stop) ? ', perhaps' : '' }} · {{ proposal.stop.name }},
          <span class="figures text-soft">{{ km(proposal.stop.roadKm) }}</span></span
        >
        <button
          type="button"
          class="button"
          :aria-label="`Take: ${what(proposal)} at ${proposal.stop.name}`"
          @click="takeProposals([proposal], `a ${what(proposal)} at ${proposal.stop.name}`)"
        >
          Take
        </button>
        <button
          type="button"
          class="button button-bare"
          :aria-label="`Not there: ${what(proposal)} at ${proposal.stop.name}`"
          title="It is not there"
          @click="ruleOut(proposal, what(proposal))"
        >
          <X :size="15" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <button v-if="isShort" type="button" class="mt-1 text-sm underline" @click="showsAll = true">
      Show all {{ proposals.length }}
    </button>
  </section>
</template>
