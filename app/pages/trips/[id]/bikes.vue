<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus, Trash2 } from '@lucide/vue'
import { bikeStarts } from '#catalogue'
import { NuxtLink } from '#components'
import { navigateTo, useRoute } from '#imports'
import { computed } from 'vue'
import RoomNames from '../../../components/frame/RoomNames.vue'
import FitPanel from '../../../components/bikes/FitPanel.vue'
import JobsPanel from '../../../components/bikes/JobsPanel.vue'
import PassportPanel from '../../../components/bikes/PassportPanel.vue'
import SparesPanel from '../../../components/bikes/SparesPanel.vue'
import TypedField from '../../../components/common/TypedField.vue'
import CalculatorsPanel from '../../../components/calculators/CalculatorsPanel.vue'
import { useBikes } from '../../../composables/useBikes'
import { useRiders } from '../../../composables/useRiders'
import { useSelection } from '../../../stores/selection'
import { useTripStore } from '../../../stores/trip'

/** Know the bike: its passport, what turns each fastener, which spares fit, and the calculations people do on an envelope. */
const rooms = [
  { id: 'passport', name: 'Passport' },
  { id: 'fit', name: 'What turns what' },
  { id: 'spares', name: 'Which spares fit' },
  { id: 'jobs', name: 'Jobs at home' },
  { id: 'calculators', name: 'Calculators' },
] as const
type RoomId = (typeof rooms)[number]['id']

const route = useRoute()
const selection = useSelection()
const store = useTripStore()
const { bikes, bike, change, addBike, removeBike, isRidden } = useBikes()
const { crew, ride } = useRiders()

const room = computed<RoomId>(() => rooms.find(({ id }) => id === route.query.room)?.id ?? 'passport')
const go = (id: RoomId) => void navigateTo({ path: `/trips/${store.id}/bikes`, query: { room: id } })

function rename(text: string) {
  const name = text.trim()
  if (bike.value && name && name !== bike.value.name) change(bike.value, { name }, `name ${name}`)
}
</script>

<template>
  <div class="pb-4">
    <header class="md:tall:sticky top-0 z-20 border-b border-line bg-paper px-4 pt-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Bikes</h1>
        <div
          class="flex min-w-0 flex-wrap gap-1 max-md:order-last max-md:w-full"
          role="group"
          aria-label="Bikes of this trip"
        >
          <button
            v-for="candidate in bikes"
            :id="`bike-${candidate.id}`"
            :key="candidate.id"
            type="button"
            class="button button-name min-h-7!"
            :class="candidate.id === bike?.id ? 'border-petrol! bg-petrol-wash!' : ''"
            :aria-pressed="candidate.id === bike?.id"
            @click="((selection.bikeId = candidate.id), (selection.part = ''))"
          >
            {{ candidate.name }}
          </button>
        </div>
        <Menu as="div" class="relative ml-auto">
          <MenuButton class="button min-h-7!"
            ><Plus :size="15" aria-hidden="true" /><span class="max-md:sr-only">A bike</span></MenuButton
          >
          <MenuItems class="card absolute right-0 z-30 mt-1 w-56 p-1 shadow-lg">
            <MenuItem v-for="start in bikeStarts" :key="start.id" v-slot="{ active }" as="template">
              <button type="button" class="menu-line" :class="{ 'bg-well': active }" @click="addBike(start.id)">
                {{ start.name }}
              </button>
            </MenuItem>
          </MenuItems>
        </Menu>
      </div>
      <RoomNames :rooms="rooms" :room="room" @go="go" />
    </header>

    <div v-if="!bike && room !== 'calculators'" class="max-w-xl p-6">
      <h2 class="text-lg">No bike yet</h2>
      <p class="mt-1 text-soft">
        Start a passport from a kind of bike and correct what differs: fasteners, tyres and spares follow from it.
      </p>
      <div class="mt-3 flex flex-wrap gap-2">
        <button v-for="start in bikeStarts" :key="start.id" type="button" class="button" @click="addBike(start.id)">
          {{ start.name }}
        </button>
      </div>
    </div>
    <template v-else-if="room === 'passport' && bike">
      <div class="flex flex-wrap items-end gap-3 bg-ground px-4 pt-2">
        <label class="block text-sm text-soft"
          >Its name
          <TypedField
            class="field mt-0.5 w-72! text-ink"
            maxlength="120"
            :model-value="bike.name"
            @update:model-value="rename"
          />
        </label>
        <div role="group" aria-label="Ridden by" class="flex flex-wrap items-center gap-1 pb-0.5 text-sm text-soft">
          <span class="mr-1">ridden by</span>
          <button
            v-for="rider in crew"
            :key="rider.id"
            type="button"
            class="button button-name min-h-7! text-sm"
            :class="rider.bikeId === bike.id ? 'border-petrol! bg-petrol-wash!' : ''"
            :aria-pressed="rider.bikeId === bike.id"
            @click="ride(rider, bike)"
          >
            {{ rider.name }}
          </button>
          <NuxtLink
            :to="`/trips/${store.id}/crew`"
            class="ml-1 inline-flex items-center underline pointer-coarse:min-h-11"
            >riders …</NuxtLink
          >
        </div>
        <button
          v-if="!isRidden(bike)"
          type="button"
          class="button button-bare ml-auto"
          :aria-label="`Remove ${bike.name}`"
          @click="removeBike(bike)"
        >
          <Trash2 :size="15" aria-hidden="true" />Remove
        </button>
      </div>
      <PassportPanel :bike="bike" />
    </template>
    <FitPanel v-else-if="room === 'fit'" />
    <SparesPanel v-else-if="room === 'spares'" />
    <JobsPanel v-else-if="room === 'jobs' && bike" :bike="bike" />
    <CalculatorsPanel v-else :known-from="bike" />
  </div>
</template>
