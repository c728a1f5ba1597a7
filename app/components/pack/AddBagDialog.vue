<script setup lang="ts">
import { catalogue } from '#catalogue'
import { hungAnyway, storageSchema, type Bike, type Storage } from '#core/bike'
import { hasPlaceFor } from '#core/pack'
import { amountInWords } from '#wording'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import BaseDialog from '../common/BaseDialog.vue'

/** Bags, tins and hollows that a bike has a place for, or one of one's own. */
const props = defineProps<{ bike: Bike }>()
const emit = defineEmits<{ close: []; add: [bag: Storage] }>()
const { system, grams } = useView()

const groups = computed(() => {
  const fits = catalogue.containers.filter((bag) => hasPlaceFor(props.bike, bag))
  const places = [...new Set(fits.map(({ place }) => place))]
  return places.map((place) => ({ place, bags: fits.filter((bag) => bag.place === place) }))
})
const own = () => storageSchema.parse({ id: 'own', name: 'Bag of my own', volumeMl: 1000, longestMm: 200 })
const room = ({ volumeMl, otherMl }: Storage) =>
  otherMl > 0
    ? `${amountInWords(volumeMl, 'volume', system.value)}, ${amountInWords(otherMl, 'volume', system.value)} of that taken`
    : amountInWords(volumeMl, 'volume', system.value)
function add(bag: Storage) {
  emit('add', hungAnyway(bag))
  emit('close')
}
</script>

<template>
  <BaseDialog open :title="`A bag for ${bike.name}`" @close="$emit('close')">
    <button type="button" class="button w-full justify-start!" @click="add(own())">
      One of my own, to be filled in
    </button>
    <div class="mt-2 max-h-[60vh] overflow-y-auto" tabindex="0" role="region" aria-label="Bags to be had">
      <section v-for="{ place, bags } in groups" :key="place">
        <h3 class="stamped sticky top-0 z-10 bg-paper py-1.5 text-soft">{{ place }}</h3>
        <ul>
          <li v-for="bag in bags" :key="bag.id" class="border-b border-line/60 last:border-b-0">
            <button
              type="button"
              class="flex w-full items-baseline gap-3 rounded-sm px-2 py-1.5 text-left hover:bg-well pointer-coarse:min-h-11 pointer-coarse:items-center"
              @click="add(bag)"
            >
              <span class="min-w-0 flex-1"
                >{{ bag.name }}
                <span class="block text-xs text-soft"
                  >{{ room(bag) }}; things up to {{ amountInWords(bag.longestMm, 'length', system) }}</span
                ></span
              >
              <span class="figures shrink-0 text-sm text-soft">{{
                bag.otherMl > 0 ? 'on it anyway' : bag.massG > 0 ? grams(bag.massG) : ''
              }}</span>
            </button>
          </li>
        </ul>
      </section>
    </div>
    <p class="mt-2 text-xs text-soft">Usual sizes and weights: measure your own, and change them afterwards.</p>
  </BaseDialog>
</template>
