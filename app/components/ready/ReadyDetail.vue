<script setup lang="ts">
import { NuxtLink } from '#components'
import { catalogue } from '#catalogue'
import { checkValues, errandValues, jobValues, sendingValues, trialValues, type PlanningKind } from '#core/reference'
import { trialOf } from '#core/checks'
import { isForTheRoad } from '#core/ready'
import { calendarDayInWords, hoursInWords, type TaskAdvice } from '#wording'
import { Wrench } from '@lucide/vue'
import { computed } from 'vue'
import { useReadyEdits } from '../../composables/useReadyEdits'
import { useReady, type SeenTask } from '../../stores/ready'
import { useTripStore } from '../../stores/trip'
import DayField from '../common/DayField.vue'
import PlanningField from '../weigh/PlanningField.vue'
import OwnTaskFields from './OwnTaskFields.vue'

/** How something is done, when, by whom, and what it would be to leave it. */
const props = defineProps<{ id: string; task: SeenTask; advice: TaskAdvice; title: string }>()
const store = useTripStore()
const ready = useReady()
const { setState, setDay, setWho, buyAt } = useReadyEdits()

const about = computed(() => props.task.about)
const crew = computed(() => store.openTrip.crew)
const own = computed(() => {
  const { about: task } = props.task
  return task.kind === 'own' ? store.openTrip.home.tasks.find(({ id }) => id === task.taskId) : undefined
})
const thing = computed(() => {
  const { about: task } = props.task
  return task.kind === 'buy' || task.kind === 'try'
    ? store.openTrip.bench.find(({ id }) => id === task.thingId)
    : undefined
})
const shops = computed(() => store.openTrip.home.shops)
const labels: Partial<Record<PlanningKind, string>> = {
  minutes: 'It takes',
  unchecked: 'Left undone, these fail as many times as often',
  untried: 'Untried, it can be trusted to',
  days: 'Working days on the way',
  keptDays: 'Days for which it is kept',
}
const values = computed(() => {
  const { about: task } = props.task
  switch (task.kind) {
    case 'job':
      return catalogue.jobs.filter(({ id }) => id === task.jobId).flatMap((job) => jobValues(job).slice(0, 1))
    case 'check':
      return catalogue.checks.filter(({ id }) => id === task.checkId).flatMap(checkValues)
    case 'try': {
      const trial = thing.value && trialOf(thing.value, catalogue.trials, catalogue.families)
      return trial ? trialValues(trial) : []
    }
    case 'practice':
      return errandValues(catalogue, 'practice').slice(0, 1)
    case 'parcel':
      return [
        ...errandValues(catalogue, 'parcel').slice(0, 1),
        sendingValues(catalogue).parcel,
        sendingValues(catalogue).kept,
      ]
    case 'buy':
      return [sendingValues(catalogue).order]
    default:
      return []
  }
})
const undone = computed(() => {
  const hours = props.task.undoneH
  if (hours === undefined) return ''
  return hours * 3600 < 1
    ? 'Nothing that is reckoned here hangs on it.'
    : `Left undone, ${hoursInWords(hours)} more are lost on this road, all else as it is.`
})
const when = computed(() => {
  const { lastDay, firstDay, about: task } = props.task
  if (ready.departure === null) return 'By when is known once the ride has a day to begin.'
  if (lastDay === null) return 'No day is early enough: leave it undone, or come by later.'
  const by = `By ${calendarDayInWords(lastDay)}`
  if (task.kind === 'parcel' && firstDay)
    return `${by}, and not before ${calendarDayInWords(firstDay)}: it is not kept for ever.`
  if (task.kind === 'buy') return `${by}, to have it on the evening before.`
  if (firstDay)
    return firstDay === lastDay
      ? `On ${calendarDayInWords(lastDay)}.`
      : `${by}, and not before ${calendarDayInWords(firstDay)}.`
  return task.kind === 'check' || task.kind === 'try' ? `${by}, so that there is time for what it shows.` : `${by}.`
})
const isTooLate = computed(() => props.task.standing === 'too late')
const choose = (event: Event) => (event.target as HTMLSelectElement).value || null
</script>

<template>
  <div :id="id" class="space-y-2 px-4 pb-3 text-sm sm:pl-11">
    <p v-if="advice.look" class="max-w-prose">{{ advice.look }}</p>
    <p v-if="advice.mechanic" class="flex max-w-prose items-start gap-2 text-brass">
      <Wrench :size="15" aria-hidden="true" class="mt-0.5 shrink-0" />{{ advice.mechanic }}
    </p>
    <p v-if="advice.caution" class="max-w-prose text-soft">{{ advice.caution }}</p>
    <p class="max-w-prose text-soft">
      {{ when }} <template v-if="isForTheRoad(about)">{{ undone }}</template>
    </p>
    <p v-if="isTooLate" class="text-madder">
      It would come too late to be of use. Choose an earlier day, or leave it undone so that the promise knows.
    </p>
    <NuxtLink v-if="about.kind === 'papers'" :to="`/trips/${store.id}/papers`" class="button inline-flex!"
      >Look at them</NuxtLink
    >
    <OwnTaskFields v-if="own" :own="own" />
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
      <DayField
        label="do it on"
        :model-value="task.on"
        :invalid="isTooLate"
        @update:model-value="setDay(task, $event)"
      />
      <label v-if="task.isAnybodys && crew.length > 1" class="flex items-center gap-2 text-soft"
        >by
        <select class="field w-auto! text-ink" :value="task.who ?? ''" @change="setWho(task, choose($event))">
          <option value="">anybody</option>
          <option v-for="rider in crew" :key="rider.id" :value="rider.id">{{ rider.name }}</option>
        </select>
      </label>
      <label v-if="about.kind === 'buy' && thing" class="flex items-center gap-2 text-soft"
        >bought
        <select
          class="field w-auto! max-w-56! text-ink"
          :value="thing.buying.shop ?? ''"
          @change="buyAt(thing.id, choose($event))"
        >
          <option value="">by order</option>
          <option v-for="shop in shops" :key="shop.id" :value="shop.id">at {{ shop.name }}</option>
        </select>
      </label>
      <button
        v-if="task.state === 'left'"
        type="button"
        class="button"
        :aria-label="`Do it after all: ${title}`"
        @click="setState(task, 'open')"
      >
        Do it after all
      </button>
      <button
        v-else-if="task.state === 'open'"
        type="button"
        class="button"
        :aria-label="`Leave it undone: ${title}`"
        @click="setState(task, 'left')"
      >
        Leave it undone
      </button>
    </div>
    <div v-if="values.length" class="grid max-w-2xl grid-cols-1 gap-4 pt-1 sm:grid-cols-3 print:hidden">
      <PlanningField v-for="value in values" :key="value.key" :value="value" :label="labels[value.kind] ?? ''" />
    </div>
  </div>
</template>
