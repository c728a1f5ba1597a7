<script setup lang="ts">
import type { OwnedThing } from '#core/shed'
import { nth } from '#core/validation'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import { computed, ref, type ComponentPublicInstance } from 'vue'
import { useStaggered } from '../../composables/useStaggered'
import ShedRow from './ShedRow.vue'

/** All things of the shed; of a long list only those are drawn that are seen, and on paper all. */
const props = defineProps<{
  things: readonly OwnedThing[]
  today: string
  /** What scrolls. */
  scrolls: HTMLElement | null
}>()
defineEmits<{
  weigh: [thing: OwnedThing, massG: number]
  count: [thing: OwnedThing, count: number]
  edit: [thing: OwnedThing]
  remove: [thing: OwnedThing]
}>()

const usualHeightPx = 58
const isPrinting = ref(false)
useEventListener('beforeprint', () => (isPrinting.value = true))
useEventListener('afterprint', () => (isPrinting.value = false))

const rows = useVirtualizer(
  computed(() => ({
    count: props.things.length,
    getScrollElement: () => props.scrolls,
    estimateSize: () => usualHeightPx,
    overscan: 3,
    getItemKey: (i: number) => nth(props.things, i).id,
  })),
)
/** A first screenful is drawn a few rows at a time: all at once they would keep a finger waiting. */
const rowsAtOnce = 6
const times = 4
const drawnTimes = useStaggered(() => true, times)
/** Places of the rows that are drawn. */
const places = computed(() => {
  if (isPrinting.value) return props.things.map((_, index) => ({ index, start: null }))
  const seen = rows.value.getVirtualItems().map(({ index, start }) => ({ index, start }))
  return drawnTimes.value < times ? seen.slice(0, drawnTimes.value * rowsAtOnce) : seen
})
const measure = (row: Element | ComponentPublicInstance | null) =>
  rows.value.measureElement(row instanceof Element ? row : null)
</script>

<template>
  <ul
    aria-label="Things in the shed"
    class="relative"
    :style="isPrinting ? {} : { height: `${rows.getTotalSize()}px` }"
  >
    <li
      v-for="{ index, start } in places"
      :key="nth(things, index).id"
      :ref="measure"
      :data-index="index"
      :aria-setsize="things.length"
      :aria-posinset="index + 1"
      :class="start === null ? '' : 'absolute inset-x-0 top-0'"
      :style="start === null ? {} : { transform: `translateY(${start}px)` }"
    >
      <ShedRow
        :thing="nth(things, index)"
        :today="today"
        @weigh="$emit('weigh', nth(things, index), $event)"
        @count="$emit('count', nth(things, index), $event)"
        @edit="$emit('edit', nth(things, index))"
        @remove="$emit('remove', nth(things, index))"
      />
    </li>
  </ul>
</template>
