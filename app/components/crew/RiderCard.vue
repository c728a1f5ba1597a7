<script setup lang="ts">
import { leavesTooSoon, skillSchema, skillWords, type Rider } from '#core/crew'
import { customary, inUnit } from '#core/units'
import { X } from '@lucide/vue'
import { NuxtLink } from '#components'
import { computed } from 'vue'
import { useRiders } from '../../composables/useRiders'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import MeasureField from '../common/MeasureField.vue'
import TypedField from '../common/TypedField.vue'

/** One rider: name and bike, how good and how strong the hands are, and what is taken along. */
const props = defineProps<{ rider: Rider; removable: boolean }>()
const store = useTripStore()
const { system, km } = useView()
const { rename, ride, join, leave, carry, setHands, remove } = useRiders()

const valueOf = (event: Event) => (event.target as HTMLSelectElement).value
/** How much of the kit somebody would carry, against anybody else. */
const shares = [
  { share: 0, name: 'nothing' },
  { share: 0.5, name: 'half a share' },
  { share: 1, name: 'a share' },
  { share: 1.5, name: 'a share and a half' },
  { share: 2, name: 'two shares' },
] as const

/** What holds for hands of which nobody has said anything. */
const usualPull = computed(() => String(inUnit(store.openTrip.dials.handMostN, customary.force[system.value])))
const differing = computed(() => Object.keys(props.rider.skills).length)

/** Stops in their order, with the km that they lie at. */
const stops = computed(() => [...store.openTrip.stops].sort((a, b) => a.roadKm - b.roadKm))
const kmOf = (id: string | null) => stops.value.find((stop) => stop.id === id)?.roadKm
const joinsKm = computed(() => kmOf(props.rider.joins) ?? 0)
const leavesKm = computed(() => kmOf(props.rider.leaves) ?? Infinity)
/** What is chosen stands there whatever has been moved since. */
const joining = computed(() =>
  stops.value.filter(({ id, roadKm }) => roadKm < leavesKm.value || id === props.rider.joins),
)
const leaving = computed(() =>
  stops.value.filter(({ id, roadKm }) => roadKm > joinsKm.value || id === props.rider.leaves),
)
const ends = computed(() => [
  { name: 'Joins', at: props.rider.joins, stops: joining.value, open: 'at the start', set: join },
  { name: 'Leaves', at: props.rider.leaves, stops: leaving.value, open: 'at the end', set: leave },
])

function mount(event: Event) {
  const bike = store.openTrip.bikes.find(({ id }) => id === valueOf(event))
  if (bike) ride(props.rider, bike)
}
</script>

<template>
  <li class="card relative p-4" :aria-label="rider.name">
    <div class="grid gap-x-4 gap-y-3 grid-cols-2 sm:pr-9 lg:grid-cols-4">
      <label class="col-span-2 block min-w-0 text-sm text-soft lg:col-span-1"
        >Name<template v-if="store.access.rider === rider.id"> (you)</template>
        <TypedField
          :id="`rider-${rider.id}`"
          class="field mt-1 text-ink"
          maxlength="120"
          :model-value="rider.name"
          @update:model-value="rename(rider, $event)"
        />
      </label>
      <label class="col-span-2 block min-w-0 text-sm text-soft lg:col-span-1"
        >Rides
        <select class="field mt-1 text-ink" :value="rider.bikeId" @change="mount">
          <option v-for="bike in store.openTrip.bikes" :key="bike.id" :value="bike.id">{{ bike.name }}</option>
        </select>
      </label>
      <div class="col-span-2 min-w-0 text-sm text-soft lg:col-span-1">
        <label :for="`hands-${rider.id}`">Repairs were</label>
        <select
          :id="`hands-${rider.id}`"
          class="field mt-1 text-ink"
          :value="rider.hands"
          @change="setHands(rider, skillSchema.parse(Number(valueOf($event))))"
        >
          <option v-for="(words, level) in skillWords" :key="level" :value="level">{{ words }}</option>
        </select>
        <NuxtLink
          v-if="differing > 0"
          :to="`/trips/${store.id}/crew?room=hands`"
          class="mt-0.5 block text-xs underline pointer-coarse:py-3"
          >otherwise with {{ differing }} {{ differing === 1 ? 'kind' : 'kinds' }} of work</NuxtLink
        >
      </div>
      <label class="col-span-2 block min-w-0 text-sm text-soft lg:col-span-1"
        >Would carry of the kit
        <select
          class="field mt-1 text-ink"
          :value="rider.share"
          @change="carry(rider, { share: Number(valueOf($event)) })"
        >
          <option v-for="{ share, name } in shares" :key="share" :value="share">{{ name }}</option>
          <option v-if="!shares.some(({ share }) => share === rider.share)" :value="rider.share">
            {{ rider.share }} shares
          </option>
        </select>
      </label>
      <MeasureField
        label="Pulls at most"
        :model-value="rider.handMostN"
        amount="force"
        :least="50"
        :most="1500"
        allow-none
        :placeholder="usualPull"
        @update:model-value="carry(rider, { handMostN: $event })"
      />
      <MeasureField
        label="Takes along in all"
        :model-value="rider.loadG"
        amount="mass"
        :most="100000"
        allow-none
        placeholder="not weighed"
        @update:model-value="carry(rider, { loadG: $event })"
      />
      <MeasureField
        label="Of the kit at most"
        :model-value="rider.carriesMostG"
        amount="mass"
        :most="100000"
        allow-none
        placeholder="no limit"
        @update:model-value="carry(rider, { carriesMostG: $event })"
      />
      <MeasureField
        label="and by volume"
        :model-value="rider.carriesMostMl"
        amount="volume"
        :most="200000"
        allow-none
        placeholder="no limit"
        @update:model-value="carry(rider, { carriesMostMl: $event })"
      />
      <label v-for="{ name, at, stops: choice, open, set } in ends" :key="name" class="block min-w-0 text-sm text-soft">
        {{ name }}
        <select class="field mt-1 text-ink" :value="at ?? ''" @change="set(rider, valueOf($event) || null)">
          <option value="">{{ open }}</option>
          <option v-for="stop in choice" :key="stop.id" :value="stop.id">{{ stop.name }}, {{ km(stop.roadKm) }}</option>
        </select>
      </label>
    </div>
    <p v-if="leavesTooSoon(rider, stops)" class="mt-2 text-sm text-madder" role="status">
      {{ rider.name }} would leave before joining: reckoned as there all the way.
    </p>
    <button
      type="button"
      class="button button-bare mt-2 ml-auto flex sm:absolute sm:top-2 sm:right-2 sm:mt-0 print:hidden"
      :disabled="!removable"
      :aria-label="`${rider.name} stays at home`"
      @click="remove(rider)"
    >
      <X :size="16" aria-hidden="true" /><span class="sm:sr-only">stays at home</span>
    </button>
  </li>
</template>
