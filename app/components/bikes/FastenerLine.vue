<script setup lang="ts">
import { Pencil } from '@lucide/vue'
import type { Bike, Fastener } from '#core/bike'
import { driveInWords, rangeInWords, coverageWords } from '#wording'
import { computed } from 'vue'
import { useCoverage } from '../../stores/coverage'
import { useFitWords } from '../../composables/useFitWords'
import { useView } from '../../stores/view'
import CoverageMark from './CoverageMark.vue'

/** A fastener, what turns it, and how hard. */
const props = defineProps<{ bike: Bike; fastener: Fastener; showsPart?: boolean }>()
defineEmits<{ edit: [] }>()
const { fitOf, coverageOf } = useCoverage()
const { words } = useFitWords()
const { system } = useView()

const fit = computed(() => fitOf(props.bike, props.fastener))
const coverage = computed(() => coverageOf(fit.value))
const torque = computed(() => {
  const { least, most } = props.fastener.torqueNm
  return most === 0 ? '' : rangeInWords(least, most, 'torque', system.value)
})
</script>

<template>
  <li
    :id="`fastener-${bike.id}-${fastener.id}`"
    class="grid grid-cols-[1.1rem_minmax(0,1fr)_2rem] items-baseline gap-x-2 border-b border-line px-4 py-1.5 md:grid-cols-[1.1rem_minmax(0,1fr)_5.2rem_6.4rem_2rem]"
  >
    <CoverageMark :coverage="coverage" class="translate-y-0.5" />
    <span class="min-w-0">
      <span class="font-semibold">{{ fastener.name }}</span>
      <span v-if="fastener.count > 1" class="figures text-sm text-soft"> × {{ fastener.count }}</span>
      <span v-if="showsPart" class="text-sm text-soft">, {{ fastener.part }}</span>
      <span class="block text-sm" :class="coverage === 'uncovered' ? 'text-lacking' : 'text-soft'">
        <span class="font-semibold">{{ coverageWords[coverage] }}</span>{{ fit ? `: ${words(fit, fastener)}` : '' }}
      </span>
      <span v-if="fastener.wantsTorqueKey" class="block text-xs text-brass"
        >wants a torque key and the maker’s value</span
      >
    </span>
    <span class="flex gap-4 max-md:order-last max-md:col-start-2 md:contents">
      <span class="figures text-sm">{{ driveInWords(fastener.drive) }}</span>
      <span class="figures text-sm text-soft md:text-right">{{ torque }}</span>
    </span>
    <button
      type="button"
      class="button button-bare min-h-7!"
      :aria-label="`Change ${fastener.name}`"
      @click="$emit('edit')"
    >
      <Pencil :size="14" aria-hidden="true" />
    </button>
  </li>
</template>
