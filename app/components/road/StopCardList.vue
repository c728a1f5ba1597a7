<script setup lang="ts">
import { ChevronDown, Trash2 } from '@lucide/vue'
import { catalogue } from '#catalogue'
import type { ServiceKind, Stop } from '#core/supply'
import { useStopEdits } from '../../composables/useStopEdits'
import { useSelection } from '../../stores/selection'
import TermHint from '../common/TermHint.vue'
import ServiceMark from './ServiceMark.vue'
import StopName from './StopName.vue'
import StopPlace from './StopPlace.vue'
import StopCard from './StopCard.vue'
import WayOut from './WayOut.vue'

/** Stops one under the other, for a small screen and a thumb: what a stop has is shown, the rest one tap away. */
defineProps<{ stops: readonly Stop[]; isOpen: (stop: Stop, kind: ServiceKind) => boolean }>()
const emit = defineEmits<{ service: [stop: Stop, kind: ServiceKind, mark: HTMLElement] }>()
const opened = defineModel<string>('opened', { required: true })
const selection = useSelection()
const { remove } = useStopEdits()

/** What a stop has; in the open one, what it may have besides: the rest stands below in full. */
const shown = (stop: Stop, kind: string) =>
  stop.services.some((service) => service.kind === kind) !== (opened.value === stop.id)
</script>

<template>
  <ul class="border-t border-line">
    <li
      v-for="stop in stops"
      :id="`stop-${stop.id}`"
      :key="stop.id"
      tabindex="-1"
      class="border-b border-line py-2"
      @focusin="selection.cursorKm = stop.roadKm"
    >
      <div class="flex items-start gap-2 px-4">
        <StopPlace class="w-26" :stop="stop" which="along" />
        <StopName class="min-w-0 flex-1" :stop="stop" />
        <button
          type="button"
          class="button button-bare size-11"
          :aria-expanded="opened === stop.id"
          :aria-label="`More about ${stop.name}`"
          @click="opened = opened === stop.id ? '' : stop.id"
        >
          <ChevronDown :size="18" aria-hidden="true" :class="opened === stop.id ? 'rotate-180' : ''" />
        </button>
      </div>
      <div class="mt-1 flex flex-wrap gap-1.5 px-4">
        <template v-for="kind in catalogue.services" :key="kind.id">
          <ServiceMark
            v-if="shown(stop, kind.id)"
            :stop="stop"
            :kind="kind"
            :opened="isOpen(stop, kind)"
            named
            @open="(of, mark) => emit('service', stop, of, mark)"
          />
        </template>
        <span v-if="stop.exit && opened !== stop.id" class="self-center text-sm text-soft">{{ stop.exit }}</span>
      </div>
      <template v-if="opened === stop.id">
        <div class="mt-2 grid grid-cols-2 gap-3 px-4 text-sm text-soft">
          <div>detour <StopPlace class="mt-1 text-ink" :stop="stop" which="off" /></div>
          <div><TermHint term="way out" /> <WayOut class="mt-1 text-ink" :stop="stop" /></div>
        </div>
        <StopCard :stop="stop" />
        <button type="button" class="button mx-4" :aria-label="`Remove ${stop.name}`" @click="remove(stop)">
          <Trash2 :size="15" aria-hidden="true" />Remove this stop
        </button>
      </template>
    </li>
  </ul>
</template>
