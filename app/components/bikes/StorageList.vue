<script setup lang="ts">
import { nth } from '#core/validation'
import { mostStorage, storageSchema, type Bike } from '#core/bike'
import { Plus, X } from '@lucide/vue'
import { useBikes } from '../../composables/useBikes'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'

/** What the bike itself has to put things into: a hatch in the down tube, a bag that stays on. */
const props = defineProps<{ bike: Bike }>()
const { change } = useBikes()
type Place = Bike['storage'][number]
const newId = () => crypto.randomUUID().slice(0, 8)
function add() {
  const hatch = storageSchema.parse({ id: newId(), name: 'Hatch', volumeMl: 500, longestMm: 250 })
  put([...props.bike.storage, hatch], 'add a place to put things')
}

function put(storage: Place[], label: string) {
  change(props.bike, { storage }, label)
}
const set = (i: number, part: Partial<Place>) =>
  put(
    props.bike.storage.map((place, at) => (at === i ? { ...place, ...part } : place)),
    `change ${nth(props.bike.storage, i).name}`,
  )
function rename(i: number, text: string) {
  if (text.trim()) set(i, { name: text.trim() })
}
</script>

<template>
  <section class="px-4 py-2" aria-label="Built-in storage">
    <div class="flex items-center gap-2">
      <h3 class="text-base">Built-in storage</h3>
      <button
        type="button"
        class="button ml-auto min-h-7! text-sm"
        :disabled="bike.storage.length >= mostStorage"
        @click="add"
      >
        <Plus :size="14" aria-hidden="true" />A place
      </button>
    </div>
    <ul>
      <li
        v-for="(place, i) in bike.storage"
        :key="place.id"
        class="grid grid-cols-[minmax(0,1fr)_7rem_7rem_2rem] items-end gap-3 border-b border-line py-1.5"
      >
        <label class="block text-sm text-soft"
          >Name<TypedField
            class="field mt-1 text-ink"
            maxlength="60"
            :model-value="place.name"
            @update:model-value="rename(i, $event)"
        /></label>
        <MeasureField
          label="Holds"
          :model-value="place.volumeMl"
          amount="volume"
          :least="1"
          :most="60000"
          @update:model-value="$event !== null && set(i, { volumeMl: $event })"
        />
        <MeasureField
          label="Longest thing"
          :model-value="place.longestMm"
          amount="length"
          :least="10"
          :most="1000"
          @update:model-value="$event !== null && set(i, { longestMm: $event })"
        />
        <button
          type="button"
          class="button button-bare"
          :aria-label="`Remove ${place.name}`"
          @click="
            put(
              bike.storage.filter((_, at) => at !== i),
              `remove ${place.name}`,
            )
          "
        >
          <X :size="14" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <p v-if="!bike.storage.length" class="text-sm text-soft">
      None known; spokes then go into the seat tube or along it.
    </p>
  </section>
</template>
