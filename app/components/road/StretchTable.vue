<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { surfaces, type Stretch, type Surface } from '~~/core/road'

/** What the road is made of, stretch by stretch; the rest counts as dry gravel. */
const store = useTripStore()
const kit = useKitStore()

const road = computed(() => store.trip!.road)
const stretches = computed(() => [...road.value.stretches].sort((a, b) => a.fromKm - b.fromKm))
const lengthKm = computed(() => kit.reckoning?.lengthKm ?? 0)

function put(label: string, next: Stretch[]) {
  store.edit(label, { road: { ...road.value, stretches: next } })
}
function change(stretch: Stretch, part: Partial<Stretch>) {
  put(
    'change a stretch',
    road.value.stretches.map((other) => (other.id === stretch.id ? { ...other, ...part } : other)),
  )
}
function add() {
  const fromKm = stretches.value.at(-1)?.toKm ?? 0
  const from = fromKm < lengthKm.value ? fromKm : 0
  put('add a stretch', [
    ...road.value.stretches,
    {
      id: crypto.randomUUID().slice(0, 8),
      fromKm: from,
      toKm: lengthKm.value,
      surface: 'gravel',
      thorns: false,
      wet: false,
    },
  ])
}
function remove(stretch: Stretch) {
  put(
    'remove a stretch',
    road.value.stretches.filter((other) => other.id !== stretch.id),
  )
}
</script>

<template>
  <details class="sheet">
    <summary class="px-4 py-2.5 font-semibold">
      Surfaces
      <span class="font-normal text-soft"
        >{{ stretches.length ? `${stretches.length} stretches` : 'none marked' }}; what is not marked counts as dry
        gravel</span
      >
    </summary>
    <div class="border-t border-line p-4">
      <ul class="space-y-1.5" aria-label="Stretches of the road">
        <li v-for="stretch in stretches" :key="stretch.id" class="flex flex-wrap items-center gap-2 text-sm">
          <MeasureField
            class="w-24"
            label="From"
            label-hidden
            :model-value="stretch.fromKm"
            amount="road"
            :most="stretch.toKm - 0.01"
            @update:model-value="$event !== null && change(stretch, { fromKm: $event })"
          />
          <span class="text-soft">to</span>
          <MeasureField
            class="w-24"
            label="To"
            label-hidden
            :model-value="stretch.toKm"
            amount="road"
            :least="stretch.fromKm + 0.01"
            :most="lengthKm"
            @update:model-value="$event !== null && change(stretch, { toKm: $event })"
          />
          <select
            class="slot w-32!"
            :value="stretch.surface"
            aria-label="Surface"
            @change="change(stretch, { surface: ($event.target as HTMLSelectElement).value as Surface })"
          >
            <option v-for="surface in surfaces" :key="surface" :value="surface">{{ surface }}</option>
          </select>
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="size-4 accent-petrol"
              :checked="stretch.thorns"
              @change="change(stretch, { thorns: !stretch.thorns })"
            />thorns</label
          >
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="size-4 accent-petrol"
              :checked="stretch.wet"
              @change="change(stretch, { wet: !stretch.wet })"
            />wet</label
          >
          <button type="button" class="knob knob-bare" aria-label="Remove this stretch" @click="remove(stretch)">
            <Trash2 :size="15" aria-hidden="true" />
          </button>
        </li>
      </ul>
      <button type="button" class="knob mt-2" @click="add"><Plus :size="15" aria-hidden="true" />A stretch</button>
    </div>
  </details>
</template>
