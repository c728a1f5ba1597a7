<script setup lang="ts">
import { catalogue } from '#catalogue'
import { changedPlanning } from '#core/reference'
import { failureInWords, hoursInWords, timesInWords } from '#wording'
import { ChevronDown, ChevronRight } from '@lucide/vue'
import { computed, onMounted } from 'vue'
import { useRequest } from '../../composables/useRequest'
import { useOwnPlanning } from '../../stores/own-planning'
import { useVerdicts } from '../../stores/verdicts'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'
import FailureDetail from './FailureDetail.vue'
import HandsTable from './HandsTable.vue'
import KeepingTable from './KeepingTable.vue'
import StakesBar from './StakesBar.vue'

/** Everything that may fail on this trip: how often, where, what it costs, and what becomes of it with the kit. */
const kit = useKitStore()
const store = useTripStore()
const { failures } = useVerdicts()

const selection = useSelection()
const open = computed({ get: () => selection.failureId, set: (id) => (selection.failureId = id) })
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id
const rows = computed(() =>
  (kit.kit?.balance.events ?? [])
    .flatMap((account) => {
      const failure = failures.value.get(account.event)
      return failure ? [{ account, failure }] : []
    })
    .sort((a, b) => b.account.bare.hours - a.account.bare.hours),
)
const changed = computed(() => Object.keys(store.openTrip.dials.planning).length)
function setAllBack() {
  store.edit('set all planning values back', { dials: { ...store.openTrip.dials, planning: {} } })
}

const own = useOwnPlanning()
const { lines, attempt } = useRequest()
// Without the server there is nothing to be changed in other trips.
onMounted(() => own.load().catch(() => undefined))
const inAll = computed(() => Object.keys(own.planning.value ?? {}))
function setBackInAll() {
  const { dials } = store.openTrip
  const planning = changedPlanning(dials.planning, { planning: {}, back: inAll.value })
  store.edit('set planning values back in all my trips', { dials: { ...dials, planning } })
  void attempt(async () => {
    await own.change({ back: inAll.value }, store.id)
  })
}
</script>

<template>
  <div>
    <p class="max-w-prose px-4 pt-3 text-sm text-soft">
      All that may fail on these bikes and this road, what is most at stake first. Open one to see where its numbers
      come from, and to change what you know better.
    </p>
    <p v-if="changed || inAll.length" class="flex flex-wrap gap-x-4 px-4 text-sm text-soft">
      <button v-if="changed" type="button" class="text-left underline max-md:min-h-11" @click="setAllBack">
        Set {{ changed === 1 ? 'the one value' : `all ${changed} values` }} changed here back
      </button>
      <button v-if="inAll.length" type="button" class="text-left underline max-md:min-h-11" @click="setBackInAll">
        Set {{ inAll.length === 1 ? 'the one value' : `the ${inAll.length} values` }} changed in all my trips back
      </button>
    </p>
    <FaultLines :lines="lines" class="px-4" />
    <p v-if="!rows.length" class="p-4 text-soft">
      {{ kit.weighing ? 'Reckoning …' : 'Nothing yet: there must be a road, and a bike to ride it.' }}
    </p>
    <div v-if="rows.length" class="row mt-3 grid items-end gap-x-3 px-4 pb-1 text-xs text-soft" aria-hidden="true">
      <span class="name">what</span><span class="often max-md:hidden">how often</span
      ><span class="where max-md:hidden">where most is at stake</span><span class="bare text-right">bare-handed</span
      ><span class="kept text-right">with the kit</span>
    </div>
    <ul v-if="rows.length" class="border-t border-line" aria-label="What can fail">
      <li
        v-for="{ account, failure } in rows"
        :id="`failure-${account.event}`"
        :key="account.event"
        class="border-b border-line"
      >
        <button
          type="button"
          class="row grid w-full items-center gap-x-3 gap-y-1 px-4 py-1.5 text-left text-sm hover:bg-well/60 max-md:min-h-11"
          :aria-expanded="open === account.event"
          @click="open = open === account.event ? '' : account.event"
        >
          <component
            :is="open === account.event ? ChevronDown : ChevronRight"
            :size="14"
            class="text-soft"
            aria-hidden="true"
          />
          <span class="name min-w-0">
            <span class="[overflow-wrap:anywhere]">{{
              failureInWords(failure.note, catalogue, store.trip?.bikes ?? [])
            }}</span>
            <span class="block text-xs text-soft">{{ bikeName(failure.note.bike) }}</span>
          </span>
          <span class="often figures whitespace-normal! text-xs text-soft">{{ timesInWords(account.expected) }}</span>
          <StakesBar class="where" :stakes="failure.stakes" />
          <span class="bare figures text-right text-xs text-soft" title="bare-handed">{{
            hoursInWords(account.bare.hours)
          }}</span>
          <span class="kept figures text-right font-semibold" title="with the kit">{{
            hoursInWords(account.kept.hours)
          }}</span>
        </button>
        <FailureDetail v-if="open === account.event" :account="account" :failure="failure" />
      </li>
    </ul>
    <HandsTable v-if="rows.length" />
    <KeepingTable v-if="rows.length" />
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: 1rem minmax(0, 15rem) 7rem minmax(0, 1fr) 5rem 5rem;
  grid-template-areas: 'mark name often where bare kept';
}
.name {
  grid-area: name;
}
.often {
  grid-area: often;
}
.where {
  grid-area: where;
}
.bare {
  grid-area: bare;
}
.kept {
  grid-area: kept;
}
@media (max-width: 47.99rem) {
  .row {
    grid-template-columns: 1rem minmax(0, 1fr) 4rem 4rem;
    grid-template-areas:
      'mark name bare kept'
      'mark often where where';
  }
}
</style>
