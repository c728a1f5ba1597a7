<script setup lang="ts">
import { mostWaitAt } from '#core/availability'
import type { ServiceKind, Stop } from '#core/supply'
import { visitInWords, visitMark } from '#wording'
import { computed } from 'vue'
import { useStopEdits } from '../../composables/useStopEdits'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'

/** Whether a stop offers a service, and how it is found when one comes by. A click says that it does, or opens what is known. */
const props = defineProps<{ stop: Stop; kind: ServiceKind; named?: boolean; opened: boolean }>()
const emit = defineEmits<{ open: [kind: ServiceKind, mark: HTMLElement] }>()
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
function press(event: MouseEvent) {
  if (!has.value) toggleService(props.stop, props.kind.id, props.kind.name)
  else if (event.currentTarget instanceof HTMLElement) emit('open', props.kind, event.currentTarget)
}
</script>

<template>
  <button
    type="button"
    class="min-h-8 rounded-sm border text-center"
    :class="[look, named ? 'min-h-11 px-2.5' : 'grid w-full place-items-center']"
    :aria-pressed="has"
    :aria-expanded="has ? opened : undefined"
    :aria-haspopup="has ? 'dialog' : undefined"
    :aria-label="`${kind.name} at ${stop.name}`"
    :title="title"
    @click="press"
  >
    <span v-if="named" class="mr-1 text-sm">{{ kind.name }}</span>
    <span v-if="has" class="text-[0.7rem] font-bold">{{ mark.words }}</span>
  </button>
</template>
