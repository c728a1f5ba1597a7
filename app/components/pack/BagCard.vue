<script setup lang="ts">
import { filledOf, roomMl, type Bike, type Storage } from '#core/bike'
import { cautionsFor, type PackedPlace } from '#core/pack'
import { amountInWords, cautionWords } from '#wording'
import { computed, ref, useTemplateRef } from 'vue'
import { useDraggedPieces } from '../../composables/useDraggedPieces'
import { usePackEdits } from '../../composables/usePackEdits'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import BagFields from './BagFields.vue'
import LayerRow from './LayerRow.vue'

/** A bag with what lies in it, from its opening downwards; pieces can be dragged here from other bags of the bike. */
const props = defineProps<{
  bike: Bike
  bag: Storage
  place: PackedPlace | undefined
  picked: boolean
  opened: string
}>()
const emit = defineEmits<{ open: [key: string]; measure: [thingId: string] }>()
const store = useTripStore()
const edits = usePackEdits()
const { grams, system } = useView()

const isChanging = ref(false)
const layers = computed(() => props.place?.layers ?? [])
const millilitres = (value: number) => amountInWords(Math.max(0, value), 'volume', system.value)
const filled = computed(() => filledOf(props.bag, props.place?.usedMl ?? 0))
const percent = (share: number) => `${100 * share}%`
const cautions = computed(() => cautionsFor(props.bike, props.bag))
const keyOf = (thing: number) => `${props.bike.id}/${props.bag.id}/${thing}`

const list = useTemplateRef('list')
useDraggedPieces(list, `bags of ${props.bike.id}`, (thingId, to) => {
  const thing = store.openTrip.bench.find(({ id }) => id === thingId)
  if (thing) edits.put(thing, props.bike, props.bag.id, to)
})
</script>

<template>
  <section
    :id="`bag-${bike.id}-${bag.id}`"
    class="mb-3 break-inside-avoid rounded border bg-paper"
    :class="picked ? 'border-brass ring-1 ring-brass' : 'border-line'"
    :aria-label="bag.name"
  >
    <header class="px-3 pt-2">
      <div class="flex items-baseline gap-2">
        <h3 class="min-w-0 flex-1 text-base [overflow-wrap:anywhere]">{{ bag.name }}</h3>
        <button
          type="button"
          class="shrink-0 text-sm underline print:hidden pointer-coarse:min-h-11"
          :aria-expanded="isChanging"
          @click="isChanging = !isChanging"
        >
          {{ isChanging ? 'done' : 'change it' }}
        </button>
      </div>
      <p class="text-xs text-soft">{{ bag.place }}</p>
      <div class="relative mt-1.5 flex h-2.5 overflow-hidden rounded-xs border border-line" aria-hidden="true">
        <span class="bg-brass-wash" :style="{ width: percent(filled.other) }" />
        <span class="bg-brass" :style="{ width: percent(filled.kit) }" />
      </div>
      <p class="mt-1 flex justify-between gap-2 text-xs text-soft">
        <span class="figures">{{ millilitres(place?.usedMl ?? 0) }} of {{ millilitres(roomMl(bag)) }}</span
        ><span v-if="place && place.massG > 0" class="figures">{{ grams(place.massG) }}</span>
      </p>
      <p v-for="caution in cautions" :key="caution" class="mt-1 text-xs text-soft">{{ cautionWords[caution] }}</p>
    </header>
    <div v-if="isChanging" class="border-t border-line px-3 py-2 print:hidden">
      <BagFields :bag="bag" @change="edits.changeBag(bike, $event)" />
      <button type="button" class="button mt-3" @click="edits.removeBag(bike, bag)">Take it off the bike</button>
    </div>
    <ul ref="list" class="mt-1.5 min-h-9 border-t border-line pb-1" :data-list="bag.id" :aria-label="`In ${bag.name}`">
      <LayerRow
        v-for="layer in layers"
        :key="keyOf(layer.thing)"
        :bike="bike"
        :storage-id="bag.id"
        :layer="layer"
        :opened="opened === keyOf(layer.thing)"
        @open="emit('open', opened === keyOf(layer.thing) ? '' : keyOf(layer.thing))"
        @measure="emit('measure', $event)"
      />
      <li v-if="layers.length === 0" class="px-3 py-2 text-sm text-soft">
        Nothing of the kit<template v-if="bag.massG > 0">: {{ grams(bag.massG) }} that can stay at home</template>
      </li>
    </ul>
  </section>
</template>
