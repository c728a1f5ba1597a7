<script setup lang="ts">
import { nth } from '#core/validation'
import { withChanges, type ClassAvailability, type Remedy } from '#core/availability'
import { planChangeInWords, gapReasonsInWords, hoursInWords } from '#wording'
import { catalogue } from '#catalogue'
import { computed, shallowRef, watch } from 'vue'
import { useView } from '../../stores/view'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'

/** The longest gap of a class: how long in every way, why, and what would shorten it. */
const props = defineProps<{ availability: ClassAvailability }>()
const store = useTripStore()
const kit = useKitStore()
const { km, stretch } = useView()

const gap = computed(() => nth(props.availability.gaps, props.availability.longest))
const nameOfKind = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind
const nameOfStop = (stop: string) => store.openTrip.stops.find(({ id }) => id === stop)?.name ?? stop
const reasons = computed(() => gapReasonsInWords(gap.value, nameOfKind))
const measures = computed(() => [
  ...(gap.value.ridingH === null ? [] : [`${hoursInWords(gap.value.ridingH)} in the saddle`]),
  ...(gap.value.days === null ? [] : [`${gap.value.days.toFixed(1)} days`]),
  `up to ${hoursInWords(gap.value.worstWalkH)} on foot, ${hoursInWords(gap.value.meanWalkH)} on average`,
])

const remedies = shallowRef<readonly Remedy[]>()
watch(
  () => [props.availability.classId, kit.analysis] as const,
  async ([classId]) => {
    const found = await kit.remedies(classId)
    if (props.availability.classId === classId) remedies.value = found
  },
  { immediate: true },
)
const words = ({ changes }: Remedy) =>
  changes.map((change) => planChangeInWords(change, nameOfStop, nameOfKind)).join(' and ')
/** Whether a place has a thing is for the place to say. */
const doable = ({ changes }: Remedy) => changes.every((change) => change.kind !== 'ask')

function take(remedy: Remedy) {
  const trip = store.openTrip
  const { ride, stops, dials } = withChanges(trip, remedy.changes, props.availability.classId)
  const changed = {
    ...(ride !== trip.ride && { ride }),
    ...(stops !== trip.stops && { stops }),
    ...(dials !== trip.dials && { dials }),
  }
  store.edit(words(remedy), changed)
}
</script>

<template>
  <div class="border-b border-line bg-well px-4 py-3 text-sm">
    <p>
      <strong class="figures">{{ km(gap.km) }}</strong> without,
      <span class="figures">{{ stretch(gap.fromKm, gap.toKm) }}</span>: {{ measures.join(', ') }}.
    </p>
    <div class="mt-2 grid gap-x-6 gap-y-2 md:grid-cols-2">
      <div>
        <h3 class="font-semibold">What makes it long</h3>
        <ul class="ml-4 list-disc">
          <li v-for="reason in reasons" :key="reason">{{ reason }}</li>
        </ul>
      </div>
      <div>
        <h3 class="font-semibold">What would shorten it</h3>
        <p v-if="!remedies" class="text-soft">Working it out …</p>
        <p v-else-if="remedies.length === 0" class="text-soft">
          Nothing found: no other day, no wait, no parcel. Carry it, or add a stop that has it.
        </p>
        <ul v-else class="space-y-1">
          <li v-for="remedy in remedies" :key="words(remedy)" class="flex items-baseline gap-2">
            <span class="min-w-0 flex-1">
              {{ words(remedy) }}: <strong class="figures">{{ km(remedy.hereKm) }}</strong> is left of it<template
                v-if="remedy.longestKm > remedy.hereKm + 0.5"
                >; the longest is then <span class="figures">{{ km(remedy.longestKm) }}</span> elsewhere</template
              >
            </span>
            <button v-if="doable(remedy)" type="button" class="button px-2! py-0! text-xs" @click="take(remedy)">
              Do this
            </button>
          </li>
        </ul>
      </div>
    </div>
  </div>
</template>
