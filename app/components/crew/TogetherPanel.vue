<script setup lang="ts">
import { runsOf, setTraits } from '#core/road'
import { dialsSchema, usualLiftWaitH } from '#core/trip'
import { stretchInWords } from '#wording'
import { Plus, X } from '@lucide/vue'
import { computed } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import MeasureField from '../common/MeasureField.vue'

/** How riders keep together, and who helps from outside. */
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { system } = useView()

const ride = computed(() => store.openTrip.ride)
const road = computed(() => store.openTrip.road)
const dials = computed(() => store.openTrip.dials)
const lengthKm = computed(() => kit.analysis?.lengthKm ?? 0)
const otherwise = computed(() => runsOf(road.value.stretches, lengthKm.value, 'apart'))
type Run = (typeof otherwise.value)[number]
/** A new stretch is so long until somebody says otherwise. */
const usualKm = 20

const keepApart = (apart: number) => store.edit('how far apart one rides', { ride: { ...ride.value, apart } })
function say(fromKm: number, toKm: number, apart: number | null) {
  const newId = () => crypto.randomUUID().slice(0, 8)
  const stretches = setTraits(road.value.stretches, lengthKm.value, fromKm, toKm, { apart }, newId)
  store.edit('where one rides apart', { road: { ...road.value, stretches } })
}
/** A stretch to move goes from where it was to where it shall be. */
function pull({ fromKm, toKm, says: apart }: Run, edges: { fromKm?: number; toKm?: number }) {
  const newId = () => crypto.randomUUID().slice(0, 8)
  const cleared = setTraits(road.value.stretches, lengthKm.value, fromKm, toKm, { apart: null }, newId)
  const [from, to] = [edges.fromKm ?? fromKm, edges.toKm ?? toKm]
  const stretches = setTraits(cleared, lengthKm.value, from, to, { apart }, newId)
  store.edit('where one rides apart', { road: { ...road.value, stretches } })
}
function addStretch() {
  const fromKm = Math.min(Math.round(selection.cursorKm), Math.max(0, lengthKm.value - 1))
  say(fromKm, Math.min(lengthKm.value, fromKm + usualKm), ride.value.apart > 0 ? 0 : 1)
}

/** Who may help: nobody, whoever comes by, or somebody who can be called. */
const helps = [
  { id: 'none', name: 'nobody: rules forbid it, or nobody is there' },
  { id: 'passing', name: 'whoever comes by' },
  { id: 'lift', name: 'whoever comes by, and a lift or a partner at home who can be called' },
] as const
type HelpId = (typeof helps)[number]['id']
const help = computed<HelpId>(() =>
  dials.value.liftWaitH !== null ? 'lift' : dials.value.helper > 0 ? 'passing' : 'none',
)
function setHelp(id: HelpId) {
  const helper = id === 'none' ? 0 : dials.value.helper || dialsSchema.parse({}).helper
  const liftWaitH = id === 'lift' ? (dials.value.liftWaitH ?? usualLiftWaitH) : null
  store.edit('who helps from outside', { dials: { ...dials.value, helper, liftWaitH } })
}
const setDials = (part: Partial<typeof dials.value>) =>
  store.edit('who helps from outside', { dials: { ...dials.value, ...part } })
</script>

<template>
  <div class="grid gap-x-10 gap-y-8 xl:grid-cols-2">
    <section aria-labelledby="apart-title">
      <h2 id="apart-title" class="text-base">Together or apart</h2>
      <template v-if="store.openTrip.crew.length > 1">
        <p class="mt-1 max-w-prose text-xs text-soft">
          Within reach, the best hands of all mend every bike. Out of reach of one another, only the hands on that bike
          do, with what is carried on it: what is worth a second one stands under Split.
        </p>
        <MeasureField
          class="mt-3 w-56"
          label="Of the riding, out of reach"
          :model-value="ride.apart"
          amount="share"
          :most="1"
          @update:model-value="$event !== null && keepApart($event)"
        />
        <h3 v-if="otherwise.length" class="mt-4 text-sm font-semibold">Otherwise on</h3>
        <ul v-if="otherwise.length" class="mt-1 space-y-2" aria-label="Stretches ridden otherwise">
          <li
            v-for="piece in otherwise"
            :key="piece.fromKm"
            class="flex flex-wrap items-end gap-2 text-sm"
            :aria-label="stretchInWords(piece.fromKm, piece.toKm, system)"
          >
            <MeasureField
              class="w-24"
              label="from"
              :model-value="piece.fromKm"
              amount="road"
              :most="piece.toKm - 0.01"
              @update:model-value="$event !== null && pull(piece, { fromKm: $event })"
            />
            <MeasureField
              class="w-24"
              label="to"
              :model-value="piece.toKm"
              amount="road"
              :least="piece.fromKm + 0.01"
              :most="lengthKm"
              @update:model-value="$event !== null && pull(piece, { toKm: $event })"
            />
            <MeasureField
              class="w-24"
              label="out of reach"
              :model-value="piece.says"
              amount="share"
              :most="1"
              @update:model-value="$event !== null && say(piece.fromKm, piece.toKm, $event)"
            />
            <button
              type="button"
              class="button button-bare"
              :aria-label="`As elsewhere on ${stretchInWords(piece.fromKm, piece.toKm, system)}`"
              @click="say(piece.fromKm, piece.toKm, null)"
            >
              <X :size="15" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <button v-if="lengthKm > 0" type="button" class="button mt-3" @click="addStretch">
          <Plus :size="15" aria-hidden="true" />Otherwise from the cursor on
        </button>
      </template>
      <p v-else class="mt-1 text-sm text-soft">Whoever rides alone is never out of reach of anybody.</p>
    </section>
    <section aria-labelledby="help-title">
      <h2 id="help-title" class="text-base">Help from outside</h2>
      <fieldset class="mt-2 space-y-1 text-sm">
        <legend class="sr-only">Who may help</legend>
        <label v-for="{ id, name } in helps" :key="id" class="flex items-start gap-2 pointer-coarse:min-h-11">
          <input
            type="radio"
            name="help"
            class="mt-1 accent-petrol"
            :checked="help === id"
            :value="id"
            @change="setHelp(id)"
          /><span>{{ name }}</span>
        </label>
      </fieldset>
      <div class="mt-3 flex flex-wrap gap-4">
        <MeasureField
          v-if="help !== 'none'"
          class="w-56"
          label="A passer-by who can mend it stops in"
          :model-value="dials.helper"
          amount="share"
          :most="1"
          @update:model-value="$event !== null && setDials({ helper: $event })"
        />
        <MeasureField
          v-if="help === 'lift'"
          class="w-56"
          label="Whoever is called comes within"
          :model-value="dials.liftWaitH"
          amount="time"
          :most="500"
          @update:model-value="$event !== null && setDials({ liftWaitH: $event })"
        />
      </div>
      <p class="mt-2 max-w-prose text-xs text-soft">
        Planning values. On busy roads more people come by, on empty ones fewer; a call needs a network, which stretches
        of the road may lack.
      </p>
    </section>
  </div>
</template>
