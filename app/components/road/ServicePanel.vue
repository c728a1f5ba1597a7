<script setup lang="ts">
import type { ServiceKind, Stop } from '#core/supply'
import { X } from '@lucide/vue'
import { PopoverAnchor, PopoverClose, PopoverContent, PopoverPortal, PopoverRoot } from 'reka-ui'
import { computed, watch } from 'vue'
import { useBackCloses } from '../../composables/useBackCloses'
import { useFocusReturn } from '../../composables/useFocusReturn'
import { useLow } from '../../composables/useLow'
import ServiceCard from './ServiceCard.vue'
import ShutChoices from './ShutChoices.vue'

/** One service of a stop, opened on its mark: hours, trust, waiting, parcel. */
const props = defineProps<{ stop: Stop; kind: ServiceKind; mark: HTMLElement }>()
const emit = defineEmits<{ close: [] }>()
const service = computed(() => props.stop.services.find(({ kind }) => kind === props.kind.id))
watch(service, (known) => known ?? emit('close'))
useFocusReturn(() => true)
useBackCloses(
  () => true,
  () => emit('close'),
)

// On a low window its mark goes to the top: above and below one in the middle there is no room.
if (useLow().value) props.mark.scrollIntoView({ block: 'start' })

/** A dialog that was opened from here lies over it, and what is done there is not done elsewhere. */
function leave() {
  if (!document.querySelector('#headlessui-portal-root [role=dialog]')) emit('close')
}
/** Its mark closes it by itself. */
function leaveToMark(event: Event) {
  if (event.target instanceof Node && props.mark.contains(event.target)) event.preventDefault()
}
/** It begins at its first field; where a finger opened it, the keys of a telephone stay away. */
function begin(event: Event) {
  event.preventDefault()
  const panel = event.target
  if (!(panel instanceof HTMLElement)) return
  const first = matchMedia('(pointer: coarse)').matches ? panel : panel.querySelector<HTMLElement>('input')
  first?.focus({ preventScroll: true })
}
</script>

<template>
  <PopoverRoot v-if="service" :open="true" @update:open="leave">
    <PopoverAnchor :reference="mark" />
    <PopoverPortal>
      <PopoverContent
        class="card z-40 max-h-(--reka-popover-content-available-height) w-[min(34rem,calc(100vw-1.5rem))] space-y-2 overflow-y-auto p-3 shadow-xl"
        :aria-label="`${kind.name} at ${stop.name}`"
        :side-offset="6"
        :collision-padding="12"
        align="start"
        tabindex="-1"
        @open-auto-focus="begin"
        @close-auto-focus.prevent
        @interact-outside="leaveToMark"
      >
        <div class="flex items-center gap-2">
          <h3 class="min-w-0 flex-1 text-base font-semibold first-letter:uppercase [overflow-wrap:anywhere]">
            {{ kind.name }}, {{ stop.name }}
          </h3>
          <PopoverClose class="button button-bare" aria-label="Close"><X :size="16" aria-hidden="true" /></PopoverClose>
        </div>
        <ServiceCard :stop="stop" :service="service" bare />
        <ShutChoices :stop="stop" />
      </PopoverContent>
    </PopoverPortal>
  </PopoverRoot>
</template>
