<script setup lang="ts">
import type { Stop } from '#core/supply'
import { momentInWords } from '#wording'
import { computed } from 'vue'
import { useStopEdits } from '../../composables/useStopEdits'
import { useKitStore } from '../../stores/kit'
import TypedField from '../common/TypedField.vue'

/** A stop's name, to be written over, and when one gets there. */
const props = defineProps<{ stop: Stop }>()
const kit = useKitStore()
const { change } = useStopEdits()

const stay = computed(() => kit.analysis?.ride?.stops.find(({ stop }) => stop === props.stop.id)?.stay)
function rename(text: string) {
  const name = text.trim()
  if (name && name !== props.stop.name) change(props.stop, { name }, `rename ${props.stop.name}`)
}
</script>

<template>
  <div>
    <TypedField
      :id="`stop-name-${stop.id}`"
      :model-value="stop.name"
      class="block w-full truncate rounded-sm bg-transparent px-1 py-0.5 font-semibold pointer-coarse:min-h-11 hover:bg-paper focus:bg-paper"
      :aria-label="`Name of ${stop.name}`"
      :title="stop.name"
      maxlength="120"
      @update:model-value="rename"
    />
    <span v-if="stay" class="figures block px-1 pb-1 text-xs leading-none text-soft"
      >there {{ momentInWords(stay.arrives) }}</span
    >
  </div>
</template>
