<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { catalogue } from '#catalogue'
import { classInWords, driveInWords, failureInWords } from '#wording'
import { computed, ref } from 'vue'
import { focusWhenMounted } from '../../composables/focusWhenMounted'
import { useGoTo } from '../../composables/useGoTo'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { usePack } from '../../stores/pack'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'

/** Whatever the trip knows by name, and where it is: of a thing, the bag that it is packed in. */
const emit = defineEmits<{ close: [] }>()

interface Found {
  readonly key: string
  readonly name: string
  readonly what: string
  readonly go: () => void
}

const store = useTripStore()
const kit = useKitStore()
const pack = usePack()
pack.watchKit()
const selection = useSelection()
const { km } = useView()
const { failures, showFailure } = useVerdicts()
const goTo = useGoTo()
const bikeName = (id: string) => store.trip?.bikes.find((bike) => bike.id === id)?.name ?? id
const asked = ref('')

/** The bags that a thing is packed in, and what lies above it there. */
function packedIn(item: number): string[] {
  return (pack.plans ?? []).flatMap(({ bikeId, places }) =>
    places.flatMap(({ storageId, layers }) => {
      const above = layers.findIndex(({ thing }) => thing === item)
      const bag = store.trip?.bikes.find(({ id }) => id === bikeId)?.storage.find(({ id }) => id === storageId)
      if (above < 0 || !bag) return []
      const depth = above === 0 ? 'on top' : `under ${above} ${above === 1 ? 'other' : 'others'}`
      return [`${bag.name}, ${depth}; ${bikeName(bikeId)}`]
    }),
  )
}

const everything = computed<Found[]>(() => {
  const things = (store.trip?.bench ?? []).map((thing, item) => ({
    key: `thing ${thing.id}`,
    name: thing.name,
    what: packedIn(item).join('; ') || 'on the bench',
    go: () => {
      selection.thingId = thing.id
      const isWeighed = kit.kit?.verdicts.some(({ item: weighed }) => weighed === thing.id)
      void (isWeighed ? goTo('weigh', `thing-${thing.id}`) : goTo('bench', `bench-${thing.id}`))
    },
  }))
  const stops = (store.trip?.stops ?? []).map((stop) => ({
    key: `stop ${stop.id}`,
    name: stop.name,
    what: `stop, ${km(stop.roadKm)}`,
    go: () => {
      selection.cursorKm = stop.roadKm
      void goTo('road', `stop-${stop.id}`)
    },
  }))
  const riders = (store.trip?.crew ?? []).map((rider) => ({
    key: `rider ${rider.id}`,
    name: rider.name,
    what: `rides ${bikeName(rider.bikeId)}`,
    go: () => void goTo('crew', `rider-${rider.id}`),
  }))
  const bikes = (store.trip?.bikes ?? []).map((bike) => ({
    key: `bike ${bike.id}`,
    name: bike.name,
    what: 'bike',
    go: () => {
      selection.bikeId = bike.id
      selection.part = ''
      void goTo('bikes', `bike-${bike.id}`)
    },
  }))
  const fasteners = (store.trip?.bikes ?? []).flatMap((bike) =>
    bike.fasteners.map((fastener) => ({
      key: `fastener ${bike.id} ${fastener.id}`,
      name: fastener.name,
      what: `${driveInWords(fastener.drive)}, ${bike.name}`,
      go: () => {
        selection.bikeId = bike.id
        selection.part = fastener.part
        selection.fastenerId = fastener.id
        void goTo('bikes', `fastener-${bike.id}-${fastener.id}`)
      },
    })),
  )
  const classes = Object.keys(kit.analysis?.view?.gaps ?? {}).map((id) => ({
    key: `class ${id}`,
    name: classInWords(id, catalogue.families),
    what: 'gaps on the road',
    go: () => {
      selection.showClass(id)
      void goTo('road', `lane-${id}`)
    },
  }))
  const likely = [...failures.value].map(([event, { note }]) => ({
    key: `failure ${event}`,
    name: failureInWords(note, catalogue, store.openTrip.bikes),
    what: `what may fail, ${bikeName(note.bike)}`,
    go: () => {
      showFailure(event)
      selection.failureId = event
      void goTo('weigh', `failure-${event}`, 'failures')
    },
  }))
  return [...things, ...stops, ...riders, ...bikes, ...fasteners, ...classes, ...likely]
})
const found = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return everything.value.slice(0, 8)
  return everything.value
    .filter(({ name, what }) => words.every((word) => `${name} ${what}`.toLowerCase().includes(word)))
    .slice(0, 12)
})
function go(choice: Found | null) {
  if (!choice) return
  choice.go()
  asked.value = ''
  emit('close')
}
</script>

<template>
  <Combobox :model-value="null" @update:model-value="go">
    <ComboboxInput
      class="field"
      aria-label="A thing, a stop, a rider, a part or a failure"
      placeholder="A thing, a stop, a rider, a bolt, a failure"
      autocomplete="off"
      @keydown.esc="emit('close')"
      @vue:mounted="focusWhenMounted"
      @change="asked = $event.target.value"
    />
    <ComboboxOptions static class="mt-2 max-h-80 overflow-y-auto">
      <ComboboxOption v-for="row in found" :key="row.key" v-slot="{ active }" :value="row" as="template">
        <li class="flex cursor-pointer justify-between gap-3 rounded-sm px-2 py-1.5" :class="active ? 'bg-well' : ''">
          <span class="min-w-0">{{ row.name }}</span><span class="max-w-[60%] shrink-0 text-right text-sm text-soft">{{
            row.what
          }}</span>
        </li>
      </ComboboxOption>
    </ComboboxOptions>
    <p v-if="!found.length" class="px-2 py-3 text-soft">Nothing by that name in this trip.</p>
  </Combobox>
</template>
