<script setup lang="ts">
import { catalogue } from '#catalogue'
import { skillSchema, skillWords, type Rider, type Skill } from '#core/crew'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { useRiders } from '../../composables/useRiders'
import { useTripStore } from '../../stores/trip'
import TypedField from '../common/TypedField.vue'

/** One rider: name, bike, and how often they have done which repair. */
const props = defineProps<{ rider: Rider; removable: boolean }>()
const store = useTripStore()
const { rename, ride, setHands, setSkill, remove } = useRiders()

const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
const levelOf = (event: Event): Skill => skillSchema.parse(Number(valueOf(event)))
const differing = computed(() => Object.keys(props.rider.skills).length)

function mount(event: Event) {
  const bike = store.openTrip.bikes.find(({ id }) => id === valueOf(event))
  if (bike) ride(props.rider, bike)
}
function say(techniqueId: string, event: Event) {
  setSkill(props.rider, techniqueId, valueOf(event) === '' ? null : levelOf(event))
}
</script>

<template>
  <li class="rounded border border-line p-3" :aria-label="rider.name">
    <div class="grid gap-x-3 gap-y-2 sm:grid-cols-[1fr_1fr_10rem_auto]">
      <label class="block min-w-0 text-sm text-soft"
        >Name
        <TypedField
          :id="`rider-${rider.id}`"
          class="field mt-1 text-ink"
          maxlength="120"
          :model-value="rider.name"
          @update:model-value="rename(rider, $event)"
        />
      </label>
      <label class="block min-w-0 text-sm text-soft"
        >Rides
        <select class="field mt-1 text-ink" :value="rider.bikeId" @change="mount">
          <option v-for="bike in store.openTrip.bikes" :key="bike.id" :value="bike.id">{{ bike.name }}</option>
        </select>
      </label>
      <label class="block text-sm text-soft"
        >Repairs were
        <select class="field mt-1 text-ink" :value="rider.hands" @change="setHands(rider, levelOf($event))">
          <option v-for="(words, level) in skillWords" :key="level" :value="level">{{ words }}</option>
        </select>
      </label>
      <button
        type="button"
        class="button button-bare self-end max-sm:justify-self-end"
        :disabled="!removable"
        :aria-label="`${rider.name} stays at home`"
        @click="remove(rider)"
      >
        <X :size="16" aria-hidden="true" /><span class="sm:sr-only">stays at home</span>
      </button>
    </div>
    <details class="mt-2 text-sm">
      <summary class="cursor-pointer py-1 text-soft">
        {{ differing === 0 ? 'All work alike' : `Otherwise with ${differing} kinds of work` }}
      </summary>
      <div class="mt-1 grid gap-x-4 gap-y-1.5 sm:grid-cols-2">
        <label
          v-for="technique in catalogue.techniques"
          :key="technique.id"
          class="grid grid-cols-[1fr_9.5rem] items-center gap-2"
        >
          <span class="min-w-0">{{ technique.name }}</span>
          <select
            class="field"
            :class="rider.skills[technique.id] === undefined ? 'text-soft' : ''"
            :value="rider.skills[technique.id] ?? ''"
            @change="say(technique.id, $event)"
          >
            <option value="">as all work</option>
            <option v-for="(words, level) in skillWords" :key="level" :value="level">{{ words }}</option>
          </select>
        </label>
      </div>
    </details>
  </li>
</template>
