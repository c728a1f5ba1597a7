<script setup lang="ts">
import { nth } from '#core/validation'
import type { ServiceKind, Stop } from '#core/supply'
import { sortedByKm } from '#core/trip'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useView } from '../../stores/view'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import ServicePanel from './ServicePanel.vue'
import StopCardList from './StopCardList.vue'
import StopProposals from './StopProposals.vue'
import StopTable from './StopTable.vue'

/** Stops in the order one meets them; what each offers is set with a click. */
const store = useTripStore()
const selection = useSelection()
const { stretch } = useView()
const stops = computed(() => sortedByKm(store.openTrip.stops))

/** A long ride has hundreds of stops; these are leafed through, and the leaf follows the cursor. */
const aLeaf = 40
const first = ref(0)
const leaf = computed(() => stops.value.slice(first.value, first.value + aLeaf))
watch(
  [() => selection.cursorKm, () => stops.value.length],
  () => {
    const away = stops.value.map((stop) => Math.abs(stop.roadKm - selection.cursorKm))
    const nearest = Math.max(0, away.indexOf(Math.min(...away)))
    first.value = Math.floor(nearest / aLeaf) * aLeaf
  },
  { immediate: true },
)
const wide = useMediaQuery('(min-width: 768px)')

/** The service of which all is shown beside its mark. */
const shown = shallowRef<{ stopId: string; kind: ServiceKind; mark: HTMLElement }>()
const stopOfShown = computed(() => store.openTrip.stops.find(({ id }) => id === shown.value?.stopId))
const isOpen = (stop: Stop, kind: ServiceKind) => shown.value?.stopId === stop.id && shown.value.kind.id === kind.id
function open(stop: Stop, kind: ServiceKind, mark: HTMLElement) {
  shown.value = isOpen(stop, kind) ? undefined : { stopId: stop.id, kind, mark }
}
</script>

<template>
  <h2 v-if="stops.length" id="stops" tabindex="-1" class="mb-2 px-4 text-base">Stops</h2>
  <StopProposals />
  <div class="@container">
    <div class="window overflow-x-auto @3xl:overflow-visible" tabindex="0" role="region" aria-label="Stops">
      <template v-if="stops.length">
        <nav
          v-if="stops.length > aLeaf"
          class="flex items-center gap-2 px-4 pb-2 text-sm"
          aria-label="Leaves of the list"
        >
          <p class="min-w-0 flex-1" role="status">
            Stops {{ first + 1 }}–{{ first + leaf.length }} of {{ stops.length }},
            {{ stretch(nth(leaf, 0).roadKm, nth(leaf, leaf.length - 1).roadKm) }}
          </p>
          <button type="button" class="button" :disabled="first === 0" @click="first -= aLeaf">
            <ChevronLeft :size="15" aria-hidden="true" />Earlier stops
          </button>
          <button type="button" class="button" :disabled="first + aLeaf >= stops.length" @click="first += aLeaf">
            Later stops<ChevronRight :size="15" aria-hidden="true" />
          </button>
        </nav>
        <component
          :is="wide ? StopTable : StopCardList"
          v-model:opened="selection.stopId"
          :stops="leaf"
          :is-open="isOpen"
          @service="open"
        />
      </template>
      <div v-else id="stops" tabindex="-1" class="max-w-xl p-6">
        <h2 class="text-lg">No stops yet</h2>
        <p class="mt-1 text-soft">
          Click on the strip above where help is, then press “Stop at …”. Between two stops that stock a part lies a
          gap; the kit is made for the gaps.
        </p>
      </div>
    </div>
    <ServicePanel
      v-if="shown && stopOfShown"
      :key="`${shown.stopId} ${shown.kind.id}`"
      :stop="stopOfShown"
      :kind="shown.kind"
      :mark="shown.mark"
      @close="shown = undefined"
    />
  </div>
</template>
