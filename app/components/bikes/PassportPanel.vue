<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import { bikeStarts } from '#catalogue'
import { fastenerSchema, type Bike, type BikeKind, type BikePart, type Fastener } from '#core/bike'
import { computed, ref, shallowRef } from 'vue'
import { useBikes } from '../../composables/useBikes'
import { useCoverage } from '../../stores/coverage'
import { useSelection } from '../../stores/selection'
import BikePicture from './BikePicture.vue'
import FastenerDialog from './FastenerDialog.vue'
import FastenerLine from './FastenerLine.vue'
import { equipment, linesOf } from './passport-lines'
import PassportField from './PassportField.vue'
import StorageList from './StorageList.vue'
import WheelDoubts from './WheelWarnings.vue'

/** A bike's passport: its picture, what it says of the part picked, and that part's fasteners. */
const props = defineProps<{ bike: Bike }>()
const selection = useSelection()
const { startFrom } = useBikes()
const { fitOf, coverageOf } = useCoverage()

const part = computed({ get: () => selection.part, set: (next) => (selection.part = next) })
const lines = computed(() => (part.value ? linesOf(part.value) : equipment))
const fasteners = computed(() =>
  part.value ? props.bike.fasteners.filter((fastener) => fastener.part === part.value) : props.bike.fasteners,
)
const needing = computed(() =>
  props.bike.fasteners.filter((fastener) => {
    const coverage = coverageOf(fitOf(props.bike, fastener))
    return coverage !== 'turned' && coverage !== 'waits'
  }),
)
const showsAll = ref(false)
const shown = computed(() => (part.value || showsAll.value ? fasteners.value : needing.value))
const edited = shallowRef<{ fastener: Fastener; isNew: boolean }>()
const ends = ['front', 'rear'] as const
const wheels = computed(() => ends.filter((end) => !part.value || [`${end} tyre`, `${end} wheel`].includes(part.value)))
const torqueKeys = computed(() => shown.value.filter(({ wantsTorqueKey }) => wantsTorqueKey))

function addFastener() {
  const fastener = fastenerSchema.parse({
    id: crypto.randomUUID().slice(0, 8),
    name: 'A bolt',
    part: part.value || 'frame',
    drive: { profile: 'hex', size: 4 },
    torqueNm: { least: 4, most: 6 },
  })
  edited.value = { fastener: { ...fastener, name: '' }, isNew: true }
}
const pick = (picked: BikePart | '') => (part.value = picked)
</script>

<template>
  <div>
    <div class="border-b border-line bg-ground">
      <BikePicture :bike="bike" :picked="part" class="mx-auto h-[17.5rem] max-w-3xl px-4 py-2" @pick="pick" />
    </div>

    <section :aria-label="part ? `The ${part}` : 'The whole bike'" class="pb-6">
      <header class="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-3">
        <h2 class="text-lg first-letter:uppercase">{{ part || 'What it has' }}</h2>
        <button v-if="part" type="button" class="button min-h-7! text-sm" @click="part = ''">
          <X :size="14" aria-hidden="true" />The whole bike
        </button>
        <label v-else class="ml-auto flex items-center gap-2 text-sm text-soft print:hidden"
          >start anew from
          <select
            id="kind-of-bike"
            class="field w-52!"
            :value="bike.kind"
            @change="startFrom(bike, ($event.target as HTMLSelectElement).value as BikeKind)"
          >
            <option v-for="start in bikeStarts" :key="start.id" :value="start.id">{{ start.name }}</option>
          </select>
        </label>
      </header>
      <WheelDoubts :bike="bike" :wheels="wheels" />
      <div v-if="lines.length" class="grid grid-cols-2 gap-x-4 gap-y-2 px-4 py-2 md:grid-cols-4">
        <PassportField v-for="line in lines" :key="`${bike.id} ${line.path.join('.')}`" :bike="bike" :line="line" />
      </div>
      <StorageList v-if="part === 'frame' || part === 'mounts'" :bike="bike" />
      <p v-if="!lines.length" class="px-4 py-1 text-sm text-soft">
        The passport says nothing more of it than its fasteners.
      </p>

      <div class="mt-2 flex flex-wrap items-center gap-2 px-4">
        <h3 class="text-base">
          {{ part ? 'Its fasteners' : showsAll ? `All ${fasteners.length} fasteners` : 'Fasteners that need care' }}
        </h3>
        <button v-if="!part" type="button" class="button min-h-7! text-sm" @click="showsAll = !showsAll">
          {{ showsAll ? 'Only those that need care' : `Show all ${fasteners.length}` }}
        </button>
        <button type="button" class="button ml-auto min-h-7! text-sm" @click="addFastener">
          <Plus :size="14" aria-hidden="true" />One more
        </button>
      </div>
      <ul v-if="shown.length" class="mt-1 border-t border-line" aria-label="Fasteners">
        <FastenerLine
          v-for="fastener in shown"
          :key="fastener.id"
          :bike="bike"
          :fastener="fastener"
          :shows-part="!part"
          @edit="edited = { fastener, isNew: false }"
        />
      </ul>
      <p v-else class="px-4 py-2 text-sm text-soft">
        {{
          part
            ? 'No fastener on this part.'
            : 'Everything on it turns with what lies on the bench, or can wait for a workshop.'
        }}
      </p>
      <p v-if="torqueKeys.length" class="mx-4 mt-2 border-l-4 border-brass pl-2 text-xs">
        {{ torqueKeys.map(({ name }) => name).join(', ') }}: carbon or light parts. A torque key and the maker’s value
        decide, not the planning value here.
      </p>
    </section>
    <FastenerDialog
      v-if="edited"
      :bike="bike"
      :fastener="edited.fastener"
      :is-new="edited.isNew"
      @close="edited = undefined"
    />
  </div>
</template>
