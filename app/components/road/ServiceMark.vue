<script setup lang="ts">
import { mostWaitAt } from '#core/availability'
import type { ServiceKind, Stop } from '#core/supply'
import { visitInWords, visitMark } from '#wording'
import { computed } from 'vue'
import { useStopEdits } from '../../composables/useStopEdits'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'

/** Whether a stop offers a service, and how it is found when one comes by; a click says otherwise. */
const props = defineProps<{ stop: Stop; kind: ServiceKind; named?: boolean }>()
const store = useTripStore()
const kit = useKitStore()
const { toggleService } = useStopEdits()

const index = computed(() => props.stop.services.findIndex((service) => service.kind === props.kind.id))
const visit = computed(() => kit.analysis?.ride?.stops.find(({ stop }) => stop === props.stop.id)?.visits[index.value])
const has = computed(() => index.value >= 0)
const mark = computed(() =>
  visit.value ? visitMark(visit.value, mostWaitAt(props.stop, store.openTrip.dials)) : { words: '✓', serves: true },
)
const title = computed(() => {
  const hours = props.stop.services[index.value]?.hours
  return [props.kind.name, visit.value && visitInWords(visit.value), hours].filter(Boolean).join(': ')
})
const look = computed(() => {
  if (!has.value) return 'border-line hover:border-petrol'
  if (!mark.value.serves) return 'border-lacking text-lacking'
  return visit.value?.found === 'shut' ? 'border-brass text-brass' : 'border-petrol bg-petrol text-on-petrol'
})
</script>

<template>
  <button
    type="button"
    class="min-h-8 rounded-sm border text-center"
    :class="[look, named ? 'min-h-11 px-2.5' : 'grid w-full place-items-center']"
    :aria-pressed="has"
    :aria-label="`${kind.name} at ${stop.name}`"
    :title="title"
    @click="toggleService(stop, kind.id, kind.name)"
  >
    <span v-if="named" class="mr-1 text-sm">{{ kind.name }}</span>
    <span v-if="has" class="text-[0.7rem] font-bold">{{ mark.words }}</span>
  </button>
</template>
