<script setup lang="ts">
import { defined, nth } from '#core/validation'
import type { Bike, BikePart } from '#core/bike'
import { coverageWords } from '#wording'
import { computed, ref } from 'vue'
import { useCoverage } from '../../stores/coverage'
import { bikeSideView } from '../../drawing/bike-side-view'
import BikeStroke from './BikeStroke.vue'
import CoverageMark from './CoverageMark.vue'

/** A bike from the side in its own proportions; every part can be picked and shows how its fasteners stand. */
const props = defineProps<{ bike: Bike; picked: BikePart | '' }>()
const emit = defineEmits<{ pick: [part: BikePart | ''] }>()

const { coverageOfPart } = useCoverage()
const view = computed(() => bikeSideView(props.bike))
const hovered = ref<BikePart | ''>('')
const coverage = (part: BikePart) => coverageOfPart(props.bike, part)
const named = computed(() => hovered.value || props.picked)
const label = (part: BikePart) => {
  const words = coverage(part)
  return words ? `${part}: ${coverageWords[words]}` : part
}
const hits = computed(() => [...view.value.parts].sort((a, b) => b.hitMm - a.hitMm))
/** Parts in order of the keyboard: as one walks round the bike, from back to front. */
const walk = computed(() => [...view.value.parts].sort((a, b) => a.at[0] - b.at[0]))
function step(by: number) {
  const parts = walk.value.map(({ part }) => part)
  const now = parts.indexOf(props.picked as BikePart)
  emit('pick', nth(parts, (now + by + parts.length) % parts.length))
}
const toggle = (part: BikePart) => emit('pick', props.picked === part ? '' : part)
/** What needs care is marked on the picture itself; the rest only where one points. */
const needsCare = computed(() =>
  view.value.parts.filter(({ part }) => ['uncovered', 'borrowed', 'awkward'].includes(coverage(part) ?? '')),
)
</script>

<template>
  <figure class="relative">
    <svg
      :viewBox="view.frame.join(' ')"
      class="block h-full w-full rounded outline-offset-[-2px] not-focus-visible:outline-none focus-visible:outline-brass!"
      role="listbox"
      tabindex="0"
      aria-label="Parts of the bike"
      :aria-activedescendant="picked ? `part-${picked.replace(/ /g, '-')}` : undefined"
      @keydown.right.prevent="step(1)"
      @keydown.down.prevent="step(1)"
      @keydown.left.prevent="step(-1)"
      @keydown.up.prevent="step(-1)"
      @keydown.esc="emit('pick', '')"
    >
      <g
        v-for="drawn in view.parts"
        :id="`part-${drawn.part.replace(/ /g, '-')}`"
        :key="drawn.part"
        role="option"
        :aria-label="label(drawn.part)"
        :aria-selected="picked === drawn.part"
        class="cursor-pointer"
        :class="{ 'opacity-45': picked && picked !== drawn.part && hovered !== drawn.part }"
        @click="toggle(drawn.part)"
        @pointerenter="hovered = drawn.part"
        @pointerleave="hovered = ''"
      >
        <title>{{ label(drawn.part) }}</title>
        <BikeStroke
          v-for="(stroke, i) in drawn.strokes"
          :key="i"
          :stroke="stroke"
          :is-picked="hovered === drawn.part || picked === drawn.part"
        />
      </g>
      <!-- Where each part is pointed at, above all that is drawn: the smaller a part, the nearer to the finger. -->
      <circle
        v-for="{ part, at, hitMm } in hits"
        :id="`point-${part.replace(/ /g, '-')}`"
        :key="`hit ${part}`"
        aria-hidden="true"
        class="cursor-pointer"
        :cx="at[0]"
        :cy="at[1]"
        :r="hitMm"
        fill="transparent"
        @click="toggle(part)"
        @pointerenter="hovered = part"
        @pointerleave="hovered = ''"
      >
        <title>{{ label(part) }}</title>
      </circle>
      <g
        v-for="{ part, at } in needsCare"
        :key="part"
        pointer-events="none"
        :transform="`translate(${at[0]} ${at[1]})`"
      >
        <circle r="26" class="fill-paper stroke-line" stroke-width="3" />
        <g transform="translate(-18 -18) scale(3)"><CoverageMark :coverage="defined(coverage(part))" /></g>
      </g>
    </svg>
    <figcaption class="pointer-events-none absolute bottom-3 left-7 text-sm" aria-hidden="true">
      <template v-if="named"
        ><span class="font-semibold">{{ named }}</span
        ><span v-if="coverage(named)" class="text-soft">, {{ coverageWords[defined(coverage(named))] }}</span></template
      >
      <span v-else class="text-soft">Pick a part</span>
    </figcaption>
  </figure>
</template>
