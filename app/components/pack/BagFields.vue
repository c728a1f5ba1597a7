<script setup lang="ts">
import { openings, storagePlaces, type Storage } from '#core/bike'
import { openingWords } from '#wording'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'

/** All that is known of a bag, tin or hollow, each to be changed. */
const props = defineProps<{ bag: Storage }>()
const emit = defineEmits<{ change: [bag: Storage] }>()
const set = (part: Partial<Storage>) => emit('change', { ...props.bag, ...part })
function rename(text: string) {
  if (text.trim()) set({ name: text.trim() })
}
const chosen = (event: Event) => (event.target as HTMLSelectElement).value
const ticked = (event: Event) => (event.target as HTMLInputElement).checked
</script>

<template>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2">
    <label class="col-span-2 block text-sm text-soft"
      >Name<TypedField
        class="field mt-1 text-ink"
        maxlength="60"
        :model-value="bag.name"
        @update:model-value="rename($event)"
    /></label>
    <label class="block text-sm text-soft"
      >Where
      <select
        class="field mt-1 text-ink"
        :value="bag.place"
        @change="set({ place: chosen($event) as Storage['place'] })"
      >
        <option v-for="place in storagePlaces" :key="place" :value="place">{{ place }}</option>
      </select>
    </label>
    <label class="block text-sm text-soft"
      >How it opens
      <select
        class="field mt-1 text-ink"
        :value="bag.opening"
        @change="set({ opening: chosen($event) as Storage['opening'] })"
      >
        <option v-for="opening in openings" :key="opening" :value="opening">{{ openingWords[opening] }}</option>
      </select>
    </label>
    <MeasureField
      label="Holds"
      :model-value="bag.volumeMl"
      amount="volume"
      :least="1"
      :most="60000"
      @update:model-value="$event !== null && set({ volumeMl: $event })"
    />
    <MeasureField
      label="Of that can be filled"
      :model-value="bag.fill"
      amount="share"
      :least="0.1"
      :most="1"
      @update:model-value="$event !== null && set({ fill: $event })"
    />
    <MeasureField
      label="Other things in it"
      :model-value="bag.otherMl"
      amount="volume"
      :most="60000"
      @update:model-value="$event !== null && set({ otherMl: $event })"
    />
    <MeasureField
      label="Longest thing"
      :model-value="bag.longestMm"
      amount="length"
      :least="10"
      :most="1000"
      @update:model-value="$event !== null && set({ longestMm: $event })"
    />
    <MeasureField
      label="Width, of a hollow"
      :model-value="bag.boreMm"
      amount="length"
      :least="3"
      :most="60"
      allow-none
      placeholder="none"
      @update:model-value="set({ boreMm: $event })"
    />
    <MeasureField
      label="Time to open it"
      :model-value="bag.reachMin / 60"
      amount="minutes"
      :most="1"
      @update:model-value="$event !== null && set({ reachMin: $event * 60 })"
    />
    <MeasureField
      label="Weighs, for the kit alone"
      :model-value="bag.massG"
      amount="mass"
      :most="5000"
      @update:model-value="$event !== null && set({ massG: $event })"
    />
    <div class="col-span-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      <label class="flex items-center gap-2 pointer-coarse:min-h-11">
        <input
          type="checkbox"
          class="size-4 accent-petrol"
          :checked="bag.keepsDry"
          @change="set({ keepsDry: ticked($event) })"
        />dry inside
      </label>
      <label class="flex items-center gap-2 pointer-coarse:min-h-11">
        <input
          type="checkbox"
          class="size-4 accent-petrol"
          :checked="bag.upright"
          @change="set({ upright: ticked($event) })"
        />a bottle stands upright
      </label>
    </div>
  </div>
</template>
