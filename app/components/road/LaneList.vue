<script setup lang="ts">
/** A lane for each class this crew has to do with: where it can be had, and where not. */
const kit = useKitStore()
const selection = useSelection()

const fewest = 8
const all = ref(false)
const lanes = computed(() => kit.reckoning?.lanes ?? [])
const shown = computed(() =>
  all.value ? lanes.value : lanes.value.filter((lane, i) => i < fewest || lane.classId === selection.classId),
)
</script>

<template>
  <section class="sheet overflow-hidden" aria-labelledby="lanes-title">
    <header class="flex flex-wrap items-baseline gap-x-3 px-4 pb-2 pt-3">
      <h2 id="lanes-title" class="text-base">Gaps</h2>
      <p class="flex flex-wrap gap-x-2.5 text-xs text-soft">
        <span v-for="{ sign, look, words } in laneMarks" :key="words" class="whitespace-nowrap"
          ><b :class="look" aria-hidden="true">{{ sign }}</b> {{ words }}</span
        >
      </p>
      <p class="ml-auto flex gap-3 text-right text-xs text-soft">
        <span class="w-18 max-md:hidden">longest</span>
        <span class="w-18 max-md:hidden" title="Expected hours of walking that hang on it when nothing is carried"
          >at stake</span
        >
      </p>
    </header>
    <ul class="border-t border-line">
      <li v-for="lane in shown" :key="lane.classId" class="border-b border-line last:border-0">
        <LaneRow
          :lane="lane"
          :stake-h="kit.reckoning!.stakes[lane.classId] ?? 0"
          :length-km="kit.reckoning!.lengthKm"
          :open="selection.classId === lane.classId"
          @toggle="selection.showClass(selection.classId === lane.classId ? '' : lane.classId)"
        />
        <LaneDetail v-if="selection.classId === lane.classId" :lane="lane" />
      </li>
    </ul>
    <button
      v-if="lanes.length > fewest"
      type="button"
      class="w-full border-t border-line px-4 py-1.5 text-left text-sm underline max-md:min-h-11"
      @click="all = !all"
    >
      {{ all ? 'Show only those that matter most' : `Show all ${lanes.length} kinds of parts` }}
    </button>
  </section>
</template>
