<script setup lang="ts">
import { filledOf, type Bike } from '#core/bike'
import type { PackPlan } from '#core/pack'
import { computed } from 'vue'
import { bagsOf } from '../../drawing/bags'
import { bikeSideView } from '../../drawing/bike-side-view'
import BikeStroke from '../bikes/BikeStroke.vue'

/** A bike with its bags, each as full as it is; one can be picked. */
const props = defineProps<{ bike: Bike; plan: PackPlan | undefined; picked: string }>()
const emit = defineEmits<{ pick: [storageId: string] }>()

const view = computed(() => bikeSideView(props.bike))
const bags = computed(() =>
  bagsOf(props.bike).flatMap((drawn) => {
    const bag = props.bike.storage.find(({ id }) => id === drawn.storageId)
    const place = props.plan?.places.find(({ storageId }) => storageId === drawn.storageId)
    if (!bag) return []
    return [{ ...drawn, name: bag.name, ...filledOf(bag, place?.usedMl ?? 0) }]
  }),
)
/** All that is drawn, bags beyond the bike among it. */
const frame = computed(() => {
  const [left, top, width, height] = view.value.frame
  const reach = bags.value.map(({ at, widthMm, heightMm }) => ({ at, half: Math.hypot(widthMm, heightMm) / 2 }))
  const from = [left, top] as const
  const to = [left + width, top + height] as const
  const [x, y] = [0, 1].map((axis) => Math.min(from[axis] ?? 0, ...reach.map(({ at, half }) => (at[axis] ?? 0) - half)))
  const [right, bottom] = [0, 1].map((axis) =>
    Math.max(to[axis] ?? 0, ...reach.map(({ at, half }) => (at[axis] ?? 0) + half)),
  )
  return [x, y, (right ?? 0) - (x ?? 0), (bottom ?? 0) - (y ?? 0)].join(' ')
})
</script>

<template>
  <svg :viewBox="frame" class="h-full w-full" role="group" :aria-label="`${bike.name} with its bags`">
    <g opacity="0.55" aria-hidden="true">
      <template v-for="drawn in view.parts" :key="drawn.part">
        <BikeStroke v-for="(stroke, i) in drawn.strokes" :key="i" :stroke="stroke" />
      </template>
    </g>
    <g
      v-for="bag in bags"
      :key="bag.storageId"
      role="button"
      tabindex="0"
      class="cursor-pointer focus-visible:outline-none [&:focus-visible>rect:last-of-type]:stroke-brass"
      :aria-label="`${bag.name}, ${Math.round(100 * (bag.other + bag.kit))} % full`"
      :aria-pressed="picked === bag.storageId"
      :transform="`translate(${bag.at[0]} ${bag.at[1]}) rotate(${bag.turnedDeg})`"
      @click="emit('pick', bag.storageId)"
      @keydown.enter.prevent="emit('pick', bag.storageId)"
      @keydown.space.prevent="emit('pick', bag.storageId)"
    >
      <title>{{ bag.name }}</title>
      <rect
        :x="-bag.widthMm / 2"
        :y="-bag.heightMm / 2"
        :width="bag.widthMm"
        :height="bag.heightMm"
        rx="12"
        class="fill-paper"
      />
      <rect
        :x="-bag.widthMm / 2"
        :y="bag.heightMm / 2 - bag.other * bag.heightMm"
        :width="bag.widthMm"
        :height="bag.other * bag.heightMm"
        rx="12"
        class="fill-brass-wash"
      />
      <rect
        :x="-bag.widthMm / 2"
        :y="bag.heightMm / 2 - (bag.other + bag.kit) * bag.heightMm"
        :width="bag.widthMm"
        :height="bag.kit * bag.heightMm"
        rx="8"
        class="fill-brass"
      />
      <rect
        :x="-bag.widthMm / 2"
        :y="-bag.heightMm / 2"
        :width="bag.widthMm"
        :height="bag.heightMm"
        rx="12"
        fill="transparent"
        class="stroke-ink"
        :stroke-width="picked === bag.storageId ? 14 : 6"
      />
    </g>
  </svg>
</template>
