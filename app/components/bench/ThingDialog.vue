<script setup lang="ts">
import { divisible, isSupply, piecesThere, shopOf, thingSchema, type Thing } from '#core/bench'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import MeasureField from '../common/MeasureField.vue'
import ThingForm from './ThingForm.vue'

/** One thing of the bench in full. */
const store = useTripStore()
const { shopInWords } = useView()
defineProps<{ thing: Thing; isNew: boolean }>()
defineEmits<{ close: []; keep: [thing: Thing]; part: [draft: Thing] }>()
/** Whoever counts anew knows better than what was ticked off as bought. */
function count(draft: Thing, pieces: number) {
  draft.owned = pieces
  if (draft.buying.state === 'done') draft.buying.state = 'open'
}
</script>

<template>
  <ThingForm
    :thing="thing"
    :schema="thingSchema"
    :title="isNew ? 'One of my own' : thing.name"
    leave-words="Leave it as it was"
    :keep-words="isNew ? 'Lay it down' : 'Keep'"
    @close="$emit('close')"
    @keep="$emit('keep', $event)"
  >
    <template #figures="{ draft }">
      <MeasureField
        label="Trusted to"
        :model-value="draft.condition"
        amount="share"
        :most="1"
        @update:model-value="$event !== null && (draft.condition = $event)"
      />
      <label class="block text-sm text-soft"
        >Of these are there already
        <input
          :value="piecesThere(draft)"
          type="number"
          min="0"
          max="99"
          class="field figures mt-1 text-right text-ink"
          @change="count(draft, Number(($event.target as HTMLInputElement).value))"
        />
      </label>
    </template>
    <template #more="{ draft }">
      <label v-if="store.openTrip.crew.length > 1" class="block text-sm text-soft"
        >Brought by
        <select v-model="draft.broughtBy" class="field mt-1 text-ink">
          <option :value="null">the crew, as one</option>
          <option v-for="rider in store.openTrip.crew" :key="rider.id" :value="rider.id">{{ rider.name }}</option>
        </select>
      </label>
      <label v-if="isSupply(draft) && store.openTrip.stops.length" class="block text-sm text-soft"
        >Comes along
        <select
          :value="shopOf(draft, store.openTrip.stops)?.id ?? ''"
          class="field mt-1 text-ink"
          @change="draft.boughtAt = ($event.target as HTMLSelectElement).value || null"
        >
          <option value="">from the start</option>
          <option v-for="stop in store.openTrip.stops" :key="stop.id" :value="stop.id">
            {{ shopInWords(stop) }}
          </option>
        </select>
      </label>
      <button v-if="!isNew && divisible(draft)" type="button" class="button" @click="$emit('part', draft)">
        Only a part of it …
      </button>
    </template>
  </ThingForm>
</template>
