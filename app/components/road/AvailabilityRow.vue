<script setup lang="ts">
import { nth } from '#core/validation'
import type { ClassAvailability, StopAvailability } from '#core/availability'
import { classInWords, hoursInWords } from '#wording'
import { catalogue } from '#catalogue'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import { availabilityMarks } from '../../drawing/availability-marks'

/** One class along the road: its gaps, the longest filled, and a mark for each place that has it or might. */
const props = defineProps<{ availability: ClassAvailability; atRiskH: number; lengthKm: number; open: boolean }>()
defineEmits<{ toggle: [] }>()
const { km } = useView()

const name = computed(() => classInWords(props.availability.classId, catalogue.families))
const longest = computed(() => nth(props.availability.gaps, props.availability.longest))
const at = (roadKm: number) => `${(roadKm / props.lengthKm) * 100}%`

/** Findings, the surest first: where marks would run into one another, the surer one stands. */
const surest = Object.keys(availabilityMarks)
const nearestTogether = 1 / 60
const shown = computed(() => {
  const kept: StopAvailability[] = []
  for (const finding of surest)
    for (const place of props.availability.places)
      if (
        place.finding === finding &&
        !kept.some(({ roadKm }) => Math.abs(roadKm - place.roadKm) < nearestTogether * props.lengthKm)
      )
        kept.push(place)
  return kept
})
</script>

<template>
  <button
    type="button"
    class="grid w-full grid-cols-[7.5rem_1fr_3.8rem] items-center gap-3 px-4 py-1 text-left text-sm hover:bg-well focus-visible:outline-2 md:grid-cols-[11.5rem_1fr_4.5rem_4.5rem] max-md:min-h-11"
    :class="open ? 'bg-brass-wash' : ''"
    :aria-expanded="open"
    @click="$emit('toggle')"
  >
    <span class="min-w-0" :class="open ? 'font-semibold' : ''">{{ name }}</span>
    <span class="relative block h-5" aria-hidden="true">
      <span class="absolute inset-x-0 top-1/2 border-t border-line" />
      <span
        class="absolute inset-y-1 rounded-xs bg-brass/25"
        :style="{ left: at(longest.fromKm), width: at(longest.km) }"
      />
      <span
        v-for="place in shown"
        :key="place.stop"
        class="absolute top-0 grid h-5 w-3 -translate-x-1/2 place-items-center font-bold leading-none"
        :class="availabilityMarks[place.finding].look"
        :style="{ left: at(place.roadKm) }"
        :title="`${place.name}: ${availabilityMarks[place.finding].detail}`"
        >{{ availabilityMarks[place.finding].sign }}</span
      >
    </span>
    <span class="figures text-right">{{ km(longest.km) }}</span>
    <span class="figures text-right max-md:hidden">{{ atRiskH > 0 ? hoursInWords(atRiskH) : '—' }}</span>
  </button>
</template>
