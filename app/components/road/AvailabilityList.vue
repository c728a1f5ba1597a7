<script setup lang="ts">
import { defined } from '#core/validation'
import { computed, ref } from 'vue'
import { availabilityMarks } from '../../drawing/availability-marks'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import TermHint from '../common/TermHint.vue'
import AvailabilityDetail from './AvailabilityDetail.vue'
import AvailabilityRow from './AvailabilityRow.vue'

/** A row for each class this crew has to do with: where it can be had, and where not. */
const kit = useKitStore()
const selection = useSelection()

const fewest = 8
const all = ref(false)
const availabilities = computed(() => kit.analysis?.availability ?? [])
const shown = computed(() =>
  all.value
    ? availabilities.value
    : availabilities.value.filter((availability, i) => i < fewest || availability.classId === selection.classId),
)
</script>

<template>
  <section class="card overflow-hidden" aria-labelledby="gaps-title">
    <header class="flex flex-wrap items-baseline gap-x-3 px-4 pb-2 pt-3">
      <h2 id="gaps-title" class="text-base"><TermHint term="gap">Gaps</TermHint></h2>
      <p class="flex flex-wrap gap-x-2.5 text-xs text-soft">
        <span v-for="{ sign, look, words } in availabilityMarks" :key="words" class="whitespace-nowrap"
          ><b :class="look" aria-hidden="true">{{ sign }}</b> {{ words }}</span
        >
      </p>
      <p class="ml-auto flex gap-3 text-right text-xs text-soft">
        <span class="w-18 max-md:hidden">longest</span>
        <span class="w-18 max-md:hidden" title="Hours that hang on it when nothing is carried, in the mean of all trips"
          >at risk</span
        >
      </p>
    </header>
    <ul class="border-t border-line">
      <li
        v-for="availability in shown"
        :id="`lane-${availability.classId}`"
        :key="availability.classId"
        class="border-b border-line last:border-0"
      >
        <AvailabilityRow
          :availability="availability"
          :at-risk-h="defined(kit.analysis).hoursAtStake[availability.classId] ?? 0"
          :length-km="defined(kit.analysis).lengthKm"
          :open="selection.classId === availability.classId"
          @toggle="selection.showClass(selection.classId === availability.classId ? '' : availability.classId)"
        />
        <AvailabilityDetail v-if="selection.classId === availability.classId" :availability="availability" />
      </li>
    </ul>
    <button
      v-if="availabilities.length > fewest"
      type="button"
      class="w-full border-t border-line px-4 py-1.5 text-left text-sm underline max-md:min-h-11"
      @click="all = !all"
    >
      {{ all ? 'Show only those that matter most' : `Show all ${availabilities.length} kinds of parts` }}
    </button>
  </section>
</template>
