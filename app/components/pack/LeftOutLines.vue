<script setup lang="ts">
import type { Bike } from '#core/bike'
import type { LeftOut } from '#core/pack'
import { nth } from '#core/validation'
import { hoursInWords, noRoomInWords } from '#wording'
import { usePackEdits } from '../../composables/usePackEdits'
import { useSplitEdits } from '../../composables/useSplitEdits'
import { useSplit } from '../../stores/split'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** What goes into no bag of a bike, why, and the ways out. */
const props = defineProps<{ bike: Bike; out: readonly LeftOut[] }>()
const emit = defineEmits<{ measure: [thingId: string] }>()
const store = useTripStore()
const split = useSplit()
const edits = usePackEdits()
const splitEdits = useSplitEdits()
const { grams, system } = useView()

const thingOf = (item: number) => nth(store.openTrip.bench, item)
const bagName = (bikeId: string, storageId: string) =>
  store.openTrip.bikes.find(({ id }) => id === bikeId)?.storage.find(({ id }) => id === storageId)?.name ?? ''
/** One rider of each other bike that has room. */
const riderWithRoom = ({ elsewhere }: LeftOut) =>
  store.openTrip.crew.flatMap((rider, r) => {
    const isFirst = store.openTrip.crew.findIndex(({ bikeId }) => bikeId === rider.bikeId) === r
    const room = elsewhere.find(({ bikeId }) => bikeId === rider.bikeId)
    return room && isFirst ? [{ rider, bag: bagName(room.bikeId, room.storageId) }] : []
  })
function give({ thing }: LeftOut, to: string) {
  const from = store.openTrip.crew.find(
    ({ id, bikeId }) =>
      bikeId === props.bike.id && (split.plan?.riders.find((load) => load.id === id)?.counts[thing] ?? 0) > 0,
  )
  if (from) splitEdits.give(thingOf(thing), from.id, to)
}
</script>

<template>
  <ul class="space-y-2" :aria-label="`Goes into no bag of ${bike.name}`">
    <li v-for="left in out" :key="left.thing" class="rounded border border-madder/50 bg-madder-wash/40 px-3 py-2">
      <p class="text-sm">
        <strong class="text-madder">Goes in nowhere:</strong>
        {{ left.count > 1 ? `${left.count} × ` : '' }}{{ thingOf(left.thing).name }},
        {{ grams(thingOf(left.thing).massG) }}
      </p>
      <ul class="mt-0.5 text-xs text-soft">
        <li v-for="each in left.why" :key="each.storageId">
          {{ bagName(bike.id, each.storageId) }}: {{ noRoomInWords(each, system) }}
        </li>
      </ul>
      <ul class="mt-1.5 flex flex-wrap gap-1.5 print:hidden" aria-label="Ways out">
        <li v-for="{ bag, hours } in left.bags" :key="bag.id">
          <button type="button" class="button text-left" @click="edits.addBags(bike, [bag])">
            <span
              >{{ bag.name }}
              <span class="text-soft"
                >{{ bag.massG > 0 ? `${grams(bag.massG)}, ` : '' }}{{ hoursInWords(hours) }} on the trip</span
              ></span
            >
          </button>
        </li>
        <li v-for="{ rider, bag } in riderWithRoom(left)" :key="rider.id">
          <button type="button" class="button text-left" @click="give(left, rider.id)">
            <span
              >give it to {{ rider.name }} <span class="text-soft">room in {{ bag }}</span></span
            >
          </button>
        </li>
        <li class="self-center">
          <button
            type="button"
            class="text-sm underline pointer-coarse:min-h-11"
            @click="emit('measure', thingOf(left.thing).id)"
          >
            measure it
          </button>
        </li>
      </ul>
    </li>
  </ul>
</template>
