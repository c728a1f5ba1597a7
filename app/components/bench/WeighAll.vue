<script setup lang="ts">
import { movedInWords, type Moved } from '#wording'
import { computed, shallowRef, watch } from 'vue'
import { useTripShed } from '../../composables/useTripShed'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import ScaleDialog from '../scale/ScaleDialog.vue'

/** The bench, thing after thing on the scale; whatever that tips over the waterline is said. */
defineEmits<{ close: [] }>()
const store = useTripStore()
const kit = useKitStore()
const { ownedBy, weigh } = useTripShed()

/** What is known to have been weighed need not be weighed again. */
const things = store.openTrip.bench.filter((thing) => !ownedBy(thing)?.isWeighed)

/** How many came along of each thing, before the first was weighed. */
const before = shallowRef<ReadonlyMap<string, number>>()
const now = computed(() => new Map(kit.kit?.verdicts.map(({ item, n }) => [item, n])))
watch(
  () => kit.kit,
  (kitNow) => (before.value ??= kitNow ? now.value : undefined),
  { immediate: true },
)
const moved = computed(() =>
  store.openTrip.bench.flatMap((thing): Moved[] => {
    const by = (now.value.get(thing.id) ?? 0) - (before.value?.get(thing.id) ?? 0)
    return before.value && by !== 0 ? [{ name: thing.name, by }] : []
  }),
)
const tipped = computed(() =>
  [
    { words: 'Comes along now', names: movedInWords(moved.value, 'comes') },
    { words: 'Stays at home now', names: movedInWords(moved.value, 'stays') },
  ].filter(({ names }) => names !== ''),
)
</script>

<template>
  <ScaleDialog :things="things" @close="$emit('close')" @weighed="weigh">
    <template #meanwhile>
      <p v-for="{ words, names } in tipped" :key="words" role="status" class="mt-3 text-sm">
        <strong>{{ words }}:</strong> {{ names }}
      </p>
    </template>
    <template #outcome>
      <p v-for="{ words, names } in tipped" :key="words" class="mt-2 text-sm">
        <strong>{{ words }}:</strong> {{ names }}
      </p>
      <p v-if="!tipped.length && before" class="mt-2 text-sm text-soft">It changed nothing of what comes along.</p>
    </template>
  </ScaleDialog>
</template>
