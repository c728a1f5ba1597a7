<script setup lang="ts">
import type { Bike } from '#core/bike'
import { placeOfPart, type Place } from '#core/hazard'
import { computed } from 'vue'
import { bikeSideView } from '../../drawing/bike-side-view'
import BikeStroke from '../bikes/BikeStroke.vue'

/** A bike from the side: a touch says where something is wrong. The words below say the same. */
const props = defineProps<{ bike: Bike; places: readonly Place[] }>()
const emit = defineEmits<{ touch: [place: Place] }>()

const view = computed(() => bikeSideView(props.bike))
/** The smaller a part, the nearer to the finger. */
const hits = computed(() =>
  [...view.value.parts]
    .filter(({ part }) => props.places.includes(placeOfPart[part]))
    .sort((a, b) => b.hitMm - a.hitMm),
)
const placeWords: Readonly<Record<Place, string>> = {
  wheels: 'wheel or tyre',
  drive: 'chain or crank',
  gears: 'gears',
  brakes: 'brakes',
  front: 'bar or fork',
  seat: 'saddle or frame',
  load: 'bags or rack',
  rider: 'the rider',
  motor: 'motor',
}
</script>

<template>
  <div>
    <svg
      :viewBox="view.frame.join(' ')"
      class="block w-full rounded border-[1.5px] border-ink bg-paper"
      aria-hidden="true"
    >
      <g v-for="drawn in view.parts" :key="drawn.part">
        <BikeStroke v-for="(stroke, i) in drawn.strokes" :key="i" :stroke="stroke" />
      </g>
      <circle
        v-for="{ part, at, hitMm } in hits"
        :key="part"
        class="cursor-pointer"
        :cx="at[0]"
        :cy="at[1]"
        :r="hitMm"
        fill="transparent"
        @click="emit('touch', placeOfPart[part])"
      />
    </svg>
    <div class="mt-2 grid grid-cols-3 gap-2">
      <button
        v-for="place in places"
        :key="place"
        type="button"
        class="trail-key px-1! text-base!"
        @click="emit('touch', place)"
      >
        {{ placeWords[place] }}
      </button>
    </div>
  </div>
</template>
