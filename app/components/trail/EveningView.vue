<script setup lang="ts">
import { catalogue, evenings } from '#catalogue'
import { nth } from '#core/validation'
import { failureInWords } from '#wording'
import { computed, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import { useTrailSight } from '../../composables/useTrailSight'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import type { Here } from '../../workers/trail-guide'

/** The two minutes of an evening: what is due, and why. */
const props = defineProps<{ here: Here }>()
const store = useTripStore()
const { put, mayWrite } = useTrailEdits()
const { see } = useTrailSight()
const { km } = useView()

const bikeName = (id: string) =>
  store.openTrip.bikes.length > 1 ? `${store.openTrip.bikes.find((bike) => bike.id === id)?.name ?? ''}: ` : ''
const hazardName = (id: string) => catalogue.hazards.find((hazard) => hazard.id === id)?.name ?? id
const tasks = computed(() =>
  props.here.evening.tasks.map((task) => {
    const care = nth(
      evenings,
      evenings.findIndex(({ id }) => id === task.id),
    )
    const why = [
      ...task.failed.map((hazard) => `failed since: ${hazardName(hazard)}`),
      ...task.worn.map(
        ({ hazard, bike, wheel, left }) =>
          `${bikeName(bike)}${failureInWords({ hazard, bike, wheel, fastener: null }, catalogue, store.openTrip.bikes)}: about ${Math.round(100 * left)} % of its life left`,
      ),
      ...(task.rainMm > 0 && care.everyKmWet < care.everyKm ? ['rain today'] : []),
      ...(care.everyKm > 0 && task.kmSince >= 1 ? [`${km(task.kmSince)} since it was done`] : []),
    ]
    return { ...task, ...care, why }
  }),
)
const due = computed(() => tasks.value.filter(({ isDue }) => isDue))
const canWait = computed(() => tasks.value.filter(({ isDue }) => !isDue))
const done = ref<string[]>([])
const toggle = (id: string) =>
  (done.value = done.value.includes(id) ? done.value.filter((other) => other !== id) : [...done.value, id])
function write() {
  const renewed = props.here.bikes.flatMap(({ id: bikeId }) =>
    tasks.value.flatMap(({ id, renews }) =>
      done.value.includes(id) ? renews.map((hazard) => ({ bikeId, hazard })) : [],
    ),
  )
  put({ kind: 'evening', did: done.value, renewed })
  done.value = []
  void see('here')
}
</script>

<template>
  <div class="px-4 pb-4 pt-3">
    <h1 class="text-2xl">This evening</h1>
    <p v-if="here.evening.bags.length" class="mt-2 rounded bg-brass-wash px-3 py-2 text-base text-ink">
      You took tools out today. Is it closed: <strong>{{ here.evening.bags.join(', ') }}</strong>? Is everything back
      in?
    </p>
    <section
      v-for="{ title, list } in [
        { title: 'Due', list: due },
        { title: 'Can wait', list: canWait },
      ]"
      :key="title"
    >
      <template v-if="list.length">
        <h2 class="mt-4 text-lg">{{ title }}</h2>
        <ul>
          <li v-for="task in list" :key="task.id" class="border-b border-line py-3">
            <div class="flex items-start gap-3">
              <div class="min-w-0 flex-1 text-base">
                <h3 class="text-base">{{ task.name }}</h3>
                <p>{{ task.look }}</p>
                <p v-if="task.id === 'bolts' && here.evening.bolts.length">
                  Loose before: <strong>{{ here.evening.bolts.join(', ') }}</strong>
                </p>
                <p v-for="reason in task.why" :key="reason" class="text-brass first-letter:uppercase">{{ reason }}</p>
              </div>
              <button
                v-if="mayWrite"
                type="button"
                class="trail-key shrink-0"
                :aria-label="`Done: ${task.name}`"
                :aria-pressed="done.includes(task.id)"
                @click="toggle(task.id)"
              >
                {{ done.includes(task.id) ? 'Done' : 'Do' }}
              </button>
            </div>
          </li>
        </ul>
      </template>
    </section>
    <p v-if="due.length === 0" class="mt-3 text-base">Nothing is due tonight.</p>
    <div v-if="mayWrite" class="sticky bottom-0 -mx-4 mt-3 border-t border-line bg-paper px-4 py-3">
      <button type="button" class="trail-key trail-key-main w-full" :disabled="done.length === 0" @click="write">
        {{ done.length === 0 ? 'Tick what you did' : `${done.length} done: write it down` }}
      </button>
    </div>
  </div>
</template>
