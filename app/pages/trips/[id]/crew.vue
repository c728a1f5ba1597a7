<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { navigateTo, useRoute } from '#imports'
import { computed } from 'vue'
import HandsMatrix from '../../../components/crew/HandsMatrix.vue'
import LoadLine from '../../../components/crew/LoadLine.vue'
import PracticeList from '../../../components/crew/PracticeList.vue'
import RiderCard from '../../../components/crew/RiderCard.vue'
import TogetherPanel from '../../../components/crew/TogetherPanel.vue'
import PeoplePanel from '../../../components/sharing/PeoplePanel.vue'
import RoomNames from '../../../components/frame/RoomNames.vue'
import { focusName } from '../../../composables/focusName'
import { useRiders } from '../../../composables/useRiders'
import { usePractice } from '../../../stores/practice'
import { useTripStore } from '../../../stores/trip'

/** Who rides: what each can do with their hands and carry, how they keep together, and who helps. */
const rooms = [
  { id: 'riders', name: 'Riders' },
  { id: 'hands', name: 'Hands and practice' },
  { id: 'together', name: 'Together and help' },
  { id: 'people', name: 'Shared with' },
] as const
type RoomId = (typeof rooms)[number]['id']

const route = useRoute()
const store = useTripStore()
const { crew, mostRiders, add } = useRiders()
usePractice().watchKit()

const room = computed<RoomId>(() => rooms.find(({ id }) => id === route.query.room)?.id ?? 'riders')
const go = (id: RoomId) => navigateTo({ path: `/trips/${store.id}/crew`, query: { room: id } })

async function addAndName() {
  const id = add()
  if (room.value !== 'riders') await go('riders')
  await focusName(`rider-${id}`)
}
</script>

<template>
  <div class="pb-6">
    <header class="md:tall:sticky top-0 z-20 border-b border-line bg-paper px-4 pt-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Crew</h1>
        <button
          type="button"
          class="button ml-auto min-h-7! print:hidden"
          :disabled="crew.length >= mostRiders"
          @click="addAndName"
        >
          <Plus :size="15" aria-hidden="true" />One more rider
        </button>
      </div>
      <RoomNames :rooms="rooms" :room="room" @go="go" />
    </header>
    <div v-if="room === 'riders'" class="p-4">
      <LoadLine />
      <ul class="mt-3 space-y-3" aria-label="Riders">
        <RiderCard v-for="rider in crew" :key="rider.id" :rider="rider" :removable="crew.length > 1" />
      </ul>
    </div>
    <div v-else-if="room === 'hands'" class="p-4">
      <PracticeList />
      <HandsMatrix class="mt-6" />
      <p class="mt-3 max-w-prose text-xs text-soft">
        Watching is not knowing. What counts is who is there; the chance that goes with each answer stands among the
        planning values, in What can fail.
      </p>
    </div>
    <TogetherPanel v-else-if="room === 'together'" class="p-4" />
    <PeoplePanel v-else class="p-4" />
  </div>
</template>
