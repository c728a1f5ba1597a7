<script setup lang="ts">
import { ChevronDown, Trash2 } from '@lucide/vue'
import { catalogue } from '#catalogue'
import type { ServiceKind, Stop } from '#core/supply'
import { useStopEdits } from '../../composables/useStopEdits'
import { serviceIcon } from '../../drawing/service-icons'
import { useSelection } from '../../stores/selection'
import TermHint from '../common/TermHint.vue'
import ServiceMark from './ServiceMark.vue'
import StopName from './StopName.vue'
import StopPlace from './StopPlace.vue'
import StopCard from './StopCard.vue'
import WayOut from './WayOut.vue'

/** Stops as rows of a table, for screens that are wide enough for one. */
defineProps<{ stops: readonly Stop[]; isOpen: (stop: Stop, kind: ServiceKind) => boolean }>()
const emit = defineEmits<{ service: [stop: Stop, kind: ServiceKind, mark: HTMLElement] }>()
const opened = defineModel<string>('opened', { required: true })
const selection = useSelection()
const { remove } = useStopEdits()
</script>

<template>
  <table class="w-full min-w-[48rem] border-collapse text-sm">
    <thead class="head">
      <tr class="text-left align-bottom text-xs text-soft">
        <th scope="col" class="w-26 min-w-26 pl-4 font-normal">place</th>
        <th scope="col" class="min-w-38 font-normal">stop</th>
        <th scope="col" class="w-20 min-w-20 font-normal">detour</th>
        <th
          v-for="kind in catalogue.services"
          :key="kind.id"
          scope="col"
          class="w-10 px-0.5 text-center font-normal leading-tight"
        >
          <component :is="serviceIcon(kind.id)" :size="15" class="mx-auto mb-0.5 block" aria-hidden="true" />
          {{ kind.shortName ?? kind.name }}
        </th>
        <th scope="col" class="w-22 min-w-22 pl-2 font-normal"><TermHint term="way out" /></th>
        <th scope="col" class="w-10"><span class="sr-only">more</span></th>
      </tr>
    </thead>
    <tbody>
      <template v-for="stop in stops" :key="stop.id">
        <tr
          :id="`stop-${stop.id}`"
          tabindex="-1"
          class="border-b border-line hover:bg-well/50"
          @focusin="selection.cursorKm = stop.roadKm"
        >
          <td class="py-1 pl-4 pr-2"><StopPlace :stop="stop" which="along" /></td>
          <td class="pr-2"><StopName :stop="stop" /></td>
          <td class="pr-2"><StopPlace :stop="stop" which="off" /></td>
          <td v-for="kind in catalogue.services" :key="kind.id" class="px-0.5">
            <ServiceMark
              :stop="stop"
              :kind="kind"
              :opened="isOpen(stop, kind)"
              @open="(of, mark) => emit('service', stop, of, mark)"
            />
          </td>
          <td class="pl-2"><WayOut :stop="stop" /></td>
          <td class="whitespace-nowrap pr-2 text-right">
            <button
              type="button"
              class="button button-bare"
              :aria-expanded="opened === stop.id"
              :aria-label="`More about ${stop.name}`"
              @click="opened = opened === stop.id ? '' : stop.id"
            >
              <ChevronDown :size="15" aria-hidden="true" :class="opened === stop.id ? 'rotate-180' : ''" />
            </button>
            <button type="button" class="button button-bare" :aria-label="`Remove ${stop.name}`" @click="remove(stop)">
              <Trash2 :size="15" aria-hidden="true" />
            </button>
          </td>
        </tr>
        <tr v-if="opened === stop.id" class="border-b border-line bg-well/60">
          <td :colspan="5 + catalogue.services.length" class="p-0"><StopCard :stop="stop" /></td>
        </tr>
      </template>
    </tbody>
  </table>
</template>

<style scoped>
/* The heads stay under the head of the stage while the stops go by. */
.head th {
  padding-block: 0.5rem 0.375rem;
  background: var(--paper);
  box-shadow: inset 0 -1px var(--line);
}
@media (min-height: 34rem) {
  .head th {
    position: sticky;
    top: var(--stage-head, 0);
    z-index: 5;
  }
}
</style>
