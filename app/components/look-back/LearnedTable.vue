<script setup lang="ts">
import type { Estimate } from '#core/learn'
import BeliefBar from './BeliefBar.vue'

/** Something that was learned, as it stands in a list. */
interface Row {
  readonly key: string
  readonly name: string
  /** What was seen of it. */
  readonly seen: string
  readonly before: Estimate
  readonly after: Estimate
  /** Keys of the planning values that it is; none where it is none. */
  readonly values: readonly string[]
}
defineProps<{ title: string; about: string; rows: readonly Row[]; inWords: (value: number) => string }>()
const ticked = defineModel<ReadonlySet<string>>({ required: true })

const isTicked = ({ values }: Row) => values.length > 0 && values.every((key) => ticked.value.has(key))
function toggle(row: Row) {
  const next = new Set(ticked.value)
  for (const key of row.values) {
    if (isTicked(row)) next.delete(key)
    else next.add(key)
  }
  ticked.value = next
}
</script>

<template>
  <section v-if="rows.length" class="border-b border-line px-4 py-4" :aria-label="title">
    <h2 class="text-lg">{{ title }}</h2>
    <p class="max-w-prose text-sm text-soft">{{ about }}</p>
    <ul class="mt-2">
      <li
        v-for="row in rows"
        :key="row.key"
        class="grid grid-cols-[1.5rem_minmax(0,1fr)] items-center gap-x-2 gap-y-1 border-t border-line py-2 text-sm md:grid-cols-[1.5rem_minmax(0,1.4fr)_9rem_minmax(0,1fr)]"
        data-learned
      >
        <label v-if="row.values.length" class="flex items-center justify-center pointer-coarse:min-h-11"
          ><input
            type="checkbox"
            class="size-4 accent-petrol"
            :checked="isTicked(row)"
            :aria-label="`Take over: ${row.name}`"
            @change="toggle(row)"
        /></label>
        <span v-else />
        <span class="min-w-0">
          <span class="inline-block font-semibold first-letter:uppercase">{{ row.name }}</span><span
            class="block text-soft"
            >{{ row.seen }}</span
          >
        </span>
        <BeliefBar :before="row.before" :after="row.after" class="max-md:col-start-2" />
        <span class="max-md:col-start-2">
          <span class="figures text-soft">{{ inWords(row.before.mean) }}</span> to
          <span class="figures font-semibold">{{ inWords(row.after.mean) }}</span><span
            class="figures block text-xs text-soft"
            >{{ inWords(row.after.low) }} – {{ inWords(row.after.high) }}, four times out of five</span
          >
        </span>
      </li>
    </ul>
  </section>
</template>
