<script setup lang="ts">
import { hoursInWords } from '#wording'
import { computed } from 'vue'
import { useReadyEdits } from '../../composables/useReadyEdits'
import { useReady } from '../../stores/ready'
import { useTripStore } from '../../stores/trip'
import { useWide } from '../../composables/useWide'
import MeasureField from '../common/MeasureField.vue'

/** What can still be done on one evening, and what that spares: for each rider what is worth most in the time there is. */
const emit = defineEmits<{ open: [key: string] }>()
const store = useTripStore()
const ready = useReady()
const { inWords, setState } = useReadyEdits()

const isWide = useWide()
const evenings = computed(() =>
  ready.tonight.map(({ who, keys, minutes }) => {
    const tasks = keys.flatMap((key) => ready.tasks.filter((task) => task.key === key))
    return {
      name: store.openTrip.crew.find(({ id }) => id === who)?.name ?? '',
      tasks,
      minutes,
      undoneH: tasks.reduce((sum, { undoneH }) => sum + Math.max(0, undoneH ?? 0), 0),
    }
  }),
)
const hasAny = computed(() => evenings.value.some(({ tasks }) => tasks.length > 0))
</script>

<template>
  <details :open="isWide" class="border-b border-line bg-well px-4 py-3" data-tonight>
    <summary class="cursor-pointer pointer-coarse:min-h-11 pointer-coarse:content-center">
      <h2 class="inline text-lg">What can still be done on one evening</h2>
    </summary>
    <div class="mt-2 flex items-center gap-2">
      <span class="text-sm text-soft" aria-hidden="true">The evening has</span>
      <div class="w-24 print:hidden">
        <MeasureField
          label="The evening has"
          label-hidden
          :model-value="ready.eveningMin / 60"
          amount="time"
          :least="1 / 60"
          :most="10"
          @update:model-value="$event !== null && (ready.eveningMin = Math.round($event * 60))"
        />
      </div>
    </div>
    <p v-if="!hasAny" class="mt-2 text-sm text-soft">
      {{ ready.isWeighing ? 'Weighing what hangs on each …' : 'Nothing that is open fits into it.' }}
    </p>
    <div v-else class="mt-2 grid items-start gap-x-8 gap-y-3 sm:grid-cols-2">
      <div v-for="evening in evenings" :key="evening.name">
        <h3 class="text-sm">
          {{ evening.name }}
          <span class="figures font-normal text-soft">{{ hoursInWords(evening.minutes / 60) }}</span><span
            v-if="evening.undoneH * 3600 >= 1"
            class="font-normal text-soft"
            >, against <span class="figures">{{ hoursInWords(evening.undoneH) }}</span> on the road</span
          >
        </h3>
        <ul class="mt-1">
          <li v-for="task in evening.tasks" :key="task.key" class="flex items-center gap-2 text-sm">
            <label class="flex shrink-0 items-center justify-center pointer-coarse:size-11 pointer-coarse:-ml-3"
              ><input
                type="checkbox"
                class="size-4 accent-petrol"
                :aria-label="`Done this evening: ${inWords(task)}`"
                @change="setState(task, 'done')"
            /></label>
            <button
              type="button"
              class="min-w-0 flex-1 py-0.5 text-left hover:underline pointer-coarse:min-h-11"
              @click="emit('open', task.key)"
            >
              {{ inWords(task) }}
            </button>
            <span class="figures shrink-0 text-xs text-soft">{{ hoursInWords(task.minutes / 60) }}</span>
          </li>
        </ul>
      </div>
    </div>
  </details>
</template>
