<script setup lang="ts">
import type { Thing } from '#core/bench'
import type { Rider } from '#core/crew'
import { bagsMl } from '#core/bike'
import type { RiderLoad } from '#core/split'
import { alongInWords, amountInWords } from '#wording'
import { computed, useTemplateRef } from 'vue'
import { useDraggedPieces } from '../../composables/useDraggedPieces'
import { bikeSideView } from '../../drawing/bike-side-view'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import BikeStroke from '../bikes/BikeStroke.vue'
import TermHint from '../common/TermHint.vue'
import PieceRow from './PieceRow.vue'

/** A rider with the bike and what is carried on it; pieces can be dragged here from other riders. */
const props = defineProps<{ rider: Rider; load: RiderLoad; mostG: number; opened: string }>()
const emit = defineEmits<{ open: [key: string]; give: [thingId: string, from: string, to: string] }>()
const store = useTripStore()
const { grams, system } = useView()

const bike = computed(() => store.openTrip.bikes.find(({ id }) => id === props.rider.bikeId))
const along = computed(() => alongInWords(props.rider, store.openTrip.stops))
const view = computed(() => bike.value && bikeSideView(bike.value))
const pieces = computed(() =>
  store.openTrip.bench
    .flatMap((thing, item) => {
      const count = props.load.counts[item] ?? 0
      return count > 0 ? [{ thing, item, count, key: keyOf(thing) }] : []
    })
    .sort((a, b) => b.count * b.thing.massG - a.count * a.thing.massG),
)
const keyOf = ({ id }: Thing) => `${props.rider.id}/${id}`
const percent = (massG: number) => `${props.mostG > 0 ? Math.min(100, (100 * massG) / props.mostG) : 0}%`
/** Room in the bags of whoever rides a bike alone; null where none hang on it, or two fill them. */
const bagRoom = computed(() => {
  const isAlone = store.openTrip.crew.filter(({ bikeId }) => bikeId === props.rider.bikeId).length === 1
  return isAlone && bike.value ? bagsMl(bike.value.storage) : null
})
const inMl = (millilitres: number) => amountInWords(millilitres, 'volume', system.value)
const pieceCount = computed(() => pieces.value.reduce((sum, { count }) => sum + count, 0))

const list = useTemplateRef('list')
useDraggedPieces(list, 'pieces', (thingId, to) => emit('give', thingId, props.rider.id, to))
</script>

<template>
  <section class="flex min-w-0 flex-col rounded border border-line bg-paper" :aria-label="`On ${rider.name}`">
    <header class="px-3 pt-2">
      <h2 class="text-base">{{ rider.name }}</h2>
      <p class="text-xs text-soft">{{ bike?.name }}</p>
      <p v-if="along" class="text-xs">{{ along }}</p>
      <svg v-if="view" :viewBox="view.frame.join(' ')" class="mx-auto mt-1 h-20 w-full print:hidden" aria-hidden="true">
        <template v-for="drawn in view.parts" :key="drawn.part">
          <BikeStroke v-for="(stroke, i) in drawn.strokes" :key="i" :stroke="stroke" />
        </template>
      </svg>
      <p class="mt-1 flex items-baseline justify-between gap-2 text-sm">
        <strong class="figures text-lg">{{ grams(load.massG) }}</strong>
        <span class="text-xs text-soft">{{ pieceCount }} {{ pieceCount === 1 ? 'piece' : 'pieces' }}</span>
      </p>
      <div class="relative mt-1 h-2.5 rounded-xs bg-well" aria-hidden="true">
        <span class="absolute inset-y-0 left-0 rounded-xs bg-sand" :style="{ width: percent(load.massG) }" />
        <span class="absolute -inset-y-1 w-0.5 bg-ink" :style="{ left: percent(load.fairG) }" />
      </div>
      <p class="mt-1 text-xs text-soft">{{ grams(load.fairG) }} would be a <TermHint term="fair share" /></p>
      <p v-if="bagRoom !== null" class="text-xs" :class="load.volumeMl > bagRoom ? 'text-madder' : 'text-soft'">
        {{ inMl(load.volumeMl) }}, and room for {{ inMl(bagRoom) }} in the bags
      </p>
      <p v-if="load.overG > 0" class="text-xs font-semibold text-madder" role="status">
        {{ grams(load.overG) }} more than {{ rider.name }} can carry
      </p>
      <p v-if="load.overMl > 0" class="text-xs font-semibold text-madder" role="status">
        {{ inMl(load.overMl) }} more than {{ rider.name }} can carry
      </p>
    </header>
    <ul
      ref="list"
      class="mt-2 min-h-12 flex-1 border-t border-line pb-2"
      :data-list="rider.id"
      :aria-label="rider.name"
    >
      <PieceRow
        v-for="piece in pieces"
        :key="piece.key"
        :thing="piece.thing"
        :item="piece.item"
        :count="piece.count"
        :rider="rider"
        :opened="opened === piece.key"
        @open="emit('open', opened === piece.key ? '' : piece.key)"
        @give="emit('give', piece.thing.id, rider.id, $event)"
      />
    </ul>
  </section>
</template>
