<script setup lang="ts">
import type { StretchTraits } from '#core/road'
import { computed, useId } from 'vue'
import { stretchMarks } from '../../drawing/stretch-marks'
import GroundPatterns from '../frame/GroundPatterns.vue'

/** How the strip shows what a brush says; nothing where it shows nothing of that. */
const props = defineProps<{ says: Partial<StretchTraits> }>()
const prefix = useId()
const marks = computed(() => stretchMarks.filter(({ holds }) => holds(props.says)))
</script>

<template>
  <svg v-if="says.surface || marks.length" width="26" height="15" class="inline-block shrink-0" aria-hidden="true">
    <GroundPatterns :prefix="prefix" />
    <rect
      y="3"
      width="26"
      height="9"
      class="stroke-line"
      :class="says.surface === 'asphalt' ? 'fill-soft' : says.surface ? '' : 'fill-paper'"
      :fill="says.surface && says.surface !== 'asphalt' ? `url(#${prefix}-${says.surface})` : undefined"
    />
    <line
      v-for="mark in marks"
      :key="mark.name"
      x1="0"
      x2="26"
      :y1="mark.isAbove ? 1.5 : 13.5"
      :y2="mark.isAbove ? 1.5 : 13.5"
      :class="mark.look"
      stroke-width="2"
      :stroke-dasharray="mark.dashes"
    />
  </svg>
</template>
