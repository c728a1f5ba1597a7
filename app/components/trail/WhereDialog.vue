<script setup lang="ts">
import { LocateFixed } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { devicePosition } from '../../position/device-position'
import { madeUpPosition } from '../../position/made-up-position'
import { NoPosition, type Locator } from '../../position/position'
import { useTrail } from '../../stores/trail'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { Here } from '../../workers/trail-guide'
import BaseDialog from '../common/BaseDialog.vue'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'

/** Where one is: the last stop that was passed, a kilometre, or what the device says; and who is elsewhere. */
const props = defineProps<{ open: boolean; here: Here }>()
const emit = defineEmits<{ close: [] }>()
const store = useTripStore()
const trail = useTrail()
const { standAt, me } = useTrailEdits()
const { km } = useView()

const isBusy = ref(false)
const lines = ref<string[]>([])
const told = ref('')
/** Farther off the road than this it is another road, m. */
const mostOffM = 5000

/** Stops about where one was last: that is where one is now, more often than not. */
const stops = computed(() => {
  const all = [...store.openTrip.stops].sort((a, b) => a.roadKm - b.roadKm)
  const next = all.findIndex(({ roadKm }) => roadKm > props.here.roadKm + 0.05)
  const from = Math.max(0, (next < 0 ? all.length : next) - 2)
  return all.slice(from, from + 6)
})

function say(roadKm: number, stop: string | null = null) {
  standAt(roadKm, stop)
  emit('close')
}

async function locate(locator: Locator) {
  isBusy.value = true
  lines.value = []
  told.value = ''
  try {
    const { lat, lon, accuracyM } = await locator.where()
    const place = await trail.placeOf(lat, lon)
    if (!place) lines.value = ['There is no road yet to be on.']
    else if (place.offRoadM > mostOffM)
      lines.value = [
        `That is ${km(place.offRoadM / 1000)} off this road at its nearest: not taken. Type where you are on it.`,
      ]
    else {
      standAt(place.roadKm)
      const off = place.offRoadM > 100 ? `, ${Math.round(place.offRoadM)} m off it` : ''
      told.value = `You are at ${km(place.roadKm)}${off}, to ${Math.round(accuracyM)} m or so.`
    }
  } catch (error) {
    lines.value = [error instanceof NoPosition ? error.message : 'The position could not be read. Type the kilometre.']
  }
  isBusy.value = false
}

const others = computed(() => store.openTrip.crew.filter(({ id }) => id !== me.value))
const hoursOffOf = (id: string) => trail.away.find(({ rider }) => rider === id)?.hoursOff ?? null
/** Somebody of whom one knows only that they are elsewhere. */
const usuallyOffH = 1
function setOff(id: string, hoursOff: number | null) {
  const rest = trail.away.filter(({ rider }) => rider !== id)
  trail.setAway(hoursOff === null ? rest : [...rest, { rider: id, hoursOff }])
}
</script>

<template>
  <BaseDialog :open="open" title="Where are you?" @close="emit('close')">
    <div class="space-y-4 text-base">
      <MeasureField
        label="Kilometre of the road"
        :model-value="here.roadKm"
        amount="road"
        :most="here.lengthKm"
        @update:model-value="$event !== null && say($event)"
      />
      <button type="button" class="trail-key w-full" :disabled="isBusy" @click="locate(devicePosition)">
        <LocateFixed :size="20" aria-hidden="true" />{{ isBusy ? 'Looking …' : 'Ask this device' }}
      </button>
      <button
        v-if="!trail.hasSetOff"
        type="button"
        class="trail-key w-full"
        :disabled="isBusy"
        @click="locate(madeUpPosition(store.openTrip.road.points))"
      >
        Try it with a made-up position
      </button>
      <p v-if="told" role="status">{{ told }}</p>
      <FaultLines v-if="lines.length" :lines="lines" />
      <div v-if="stops.length">
        <h3 class="text-base">At a stop</h3>
        <div class="mt-1 grid grid-cols-2 gap-2">
          <button
            v-for="stop in stops"
            :key="stop.id"
            type="button"
            class="trail-key"
            @click="say(stop.roadKm, stop.id)"
          >
            {{ stop.name }}
          </button>
        </div>
      </div>
      <div v-if="others.length && store.openTrip.crew.length > 1">
        <h3 class="text-base">Who is elsewhere</h3>
        <div v-for="rider in others" :key="rider.id" class="mt-2">
          <button
            type="button"
            class="trail-key w-full"
            :aria-pressed="hoursOffOf(rider.id) !== null"
            @click="setOff(rider.id, hoursOffOf(rider.id) === null ? usuallyOffH : null)"
          >
            {{ rider.name }} {{ hoursOffOf(rider.id) === null ? 'is here' : 'is elsewhere' }}
          </button>
          <MeasureField
            v-if="hoursOffOf(rider.id) !== null"
            class="mt-2"
            :label="`Hours until ${rider.name} is here`"
            :model-value="hoursOffOf(rider.id)"
            amount="time"
            :most="1000"
            @update:model-value="$event !== null && setOff(rider.id, $event)"
          />
        </div>
      </div>
      <button v-if="told" type="button" class="trail-key trail-key-main w-full" @click="emit('close')">Done</button>
    </div>
  </BaseDialog>
</template>
