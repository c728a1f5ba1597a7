<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { nextTick } from 'vue'
import { useRiders } from '../../composables/useRiders'
import BaseDialog from '../common/BaseDialog.vue'
import RiderCard from './RiderCard.vue'

/** Who rides: their names, bikes and hands. */
defineEmits<{ close: [] }>()
const { crew, mostRiders, add } = useRiders()

async function addAndName() {
  const id = add()
  await nextTick()
  const field = document.querySelector<HTMLInputElement>(`#rider-${id}`)
  field?.focus()
  field?.select()
}
</script>

<template>
  <BaseDialog open title="Riders" wide @close="$emit('close')">
    <ul class="space-y-3">
      <RiderCard v-for="rider in crew" :key="rider.id" :rider="rider" :removable="crew.length > 1" />
    </ul>
    <p class="mt-3 text-xs text-soft">
      What counts are the best hands that are there. A chance goes with each answer; it stands among the planning
      values, in What can fail.
    </p>
    <button type="button" class="button mt-3" :disabled="crew.length >= mostRiders" @click="addAndName">
      <Plus :size="15" aria-hidden="true" />One more rider
    </button>
  </BaseDialog>
</template>
