<script setup lang="ts">
import { stages } from '../../composables/useStages'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'

defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
const { km, pressKm } = useView()
const keys = computed((): [string, string][] => [
  ...stages.map((stage): [string, string] => [stage.key, `go to ${stage.name}`]),
  ['/', 'find anything in this trip: where is it packed?'],
  ['?', 'this list'],
  ['i', 'suppose it were otherwise'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['↑ ↓', 'walk through a list'],
  ['Enter', 'open the claims of a thing'],
  ['Space', 'pin the verdict of a thing, or let go of it'],
  ['← →', `move the place on the road, or a stop, by ${km(pressKm.value)}; with Shift by ten times that`],
  ['Esc', 'close what is open'],
])
</script>

<template>
  <BaseDialog :open="open" title="Keys" @close="$emit('close')">
    <dl class="grid grid-cols-[8rem_1fr] gap-y-1.5">
      <template v-for="[key, what] in keys" :key="key">
        <dt>
          <kbd class="rounded-sm border border-line bg-well px-1.5 py-0.5 font-mono text-sm">{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </BaseDialog>
</template>
