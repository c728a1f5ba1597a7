<script setup lang="ts">
import { catalogue } from '#catalogue'
import { calendarDayInWords, hoursInWords, standingWords, taskAdvice } from '#wording'
import { ChevronDown, Wrench } from '@lucide/vue'
import { computed, useId } from 'vue'
import { useReadyEdits } from '../../composables/useReadyEdits'
import type { SeenTask } from '../../stores/ready'
import { useTripStore } from '../../stores/trip'
import ReadyDetail from './ReadyDetail.vue'

/** Something to be done before the ride: a tick, who does it, how long it takes, and what hangs on it. */
const props = defineProps<{ task: SeenTask; open: boolean; withDay?: boolean }>()
defineEmits<{ toggle: [] }>()
const store = useTripStore()
const { inWords, setState } = useReadyEdits()

const id = useId()
const title = computed(() => inWords(props.task))
const isDone = computed(() => props.task.state === 'done')
const isLeft = computed(() => props.task.state === 'left')
const who = computed(() => store.openTrip.crew.find((rider) => rider.id === props.task.who)?.name ?? 'anybody')
const minutes = computed(() => hoursInWords(props.task.minutes / 60))
const advice = computed(() => taskAdvice(props.task.about, store.openTrip, catalogue))
const day = computed(() => (props.withDay && props.task.due !== null ? calendarDayInWords(props.task.due) : ''))
/** Less than a second is not told. */
const undone = computed(() => ((props.task.undoneH ?? 0) * 3600 >= 1 ? hoursInWords(props.task.undoneH ?? 0) : ''))
const isLate = computed(() => props.task.standing === 'too late' || props.task.standing === 'overdue')
const tick = () => setState(props.task, isDone.value ? 'open' : 'done')
</script>

<template>
  <li class="border-b border-line" :class="open ? 'bg-brass-wash' : ''" :data-task="task.key">
    <div class="flex items-center gap-2 px-4 py-1">
      <label class="flex shrink-0 items-center justify-center pointer-coarse:size-11 pointer-coarse:-ml-3">
        <input
          type="checkbox"
          class="size-5 accent-petrol"
          :checked="isDone"
          :aria-label="`Done: ${title}`"
          @change="tick"
        />
      </label>
      <button
        type="button"
        class="flex min-w-0 flex-1 items-center gap-3 py-1 text-left pointer-coarse:min-h-11"
        :aria-expanded="open"
        :aria-controls="id"
        data-row
        @click="$emit('toggle')"
      >
        <span class="min-w-0 flex-1">
          <span
            class="block [overflow-wrap:anywhere]"
            :class="isDone ? 'text-soft' : isLeft ? 'text-soft line-through' : 'font-medium'"
            >{{ title }}</span
          >
          <span class="flex flex-wrap items-center gap-x-2 text-xs text-soft"
            ><span>{{ who }}</span
            ><span class="figures">{{ minutes }}</span
            ><span v-if="day">{{ day }}</span
            ><span v-if="isLate" class="font-semibold text-madder">{{ standingWords[task.standing] }}</span
            ><span v-else-if="isLeft" class="font-semibold text-brass">{{ standingWords.left }}</span
            ><span v-if="advice.mechanic" class="flex items-center gap-1 text-brass"
              ><Wrench :size="12" aria-hidden="true" />a mechanic, if in doubt</span
            ></span
          >
        </span>
        <span class="figures w-16 shrink-0 text-right text-sm" :class="isDone ? 'text-soft' : ''">{{ undone }}</span>
        <ChevronDown :size="16" aria-hidden="true" class="shrink-0 text-soft" :class="open ? 'rotate-180' : ''" />
      </button>
    </div>
    <ReadyDetail v-if="open" :id="id" :task="task" :advice="advice" :title="title" />
  </li>
</template>
