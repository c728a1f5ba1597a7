<script setup lang="ts">
import { NuxtLink } from '#components'
import { catalogue } from '#catalogue'
import { mostOwnTasks, ownTaskSchema } from '#core/home'
import { byWorthAMinute, writeCalendar } from '#core/ready'
import { daysAfter } from '#core/task'
import { faultLines } from '#core/trip'
import { calendarDayInWords, calendarEntries, daysOffInWords, hoursInWords } from '#wording'
import { CalendarArrowDown, Plus, Printer } from '@lucide/vue'
import { computed, nextTick, ref } from 'vue'
import DayField from '../../../components/common/DayField.vue'
import FaultLines from '../../../components/common/FaultLines.vue'
import FilePicker from '../../../components/common/FilePicker.vue'
import ReadyRow from '../../../components/ready/ReadyRow.vue'
import ShopsPanel from '../../../components/ready/ShopsPanel.vue'
import TonightPanel from '../../../components/ready/TonightPanel.vue'
import { focusName } from '../../../composables/focusName'
import { useReadyEdits } from '../../../composables/useReadyEdits'
import { walkRows } from '../../../composables/walkRows'
import { saveAs } from '../../../http/save-as'
import { useReady, type SeenTask } from '../../../stores/ready'
import { useTripStore } from '../../../stores/trip'

/** All that is to be done before the ride: by which day, by whom, and what it costs on the road to leave it undone. */
const store = useTripStore()
const ready = useReady()
const edits = useReadyEdits()
ready.watchPlan()

const crew = computed(() => store.openTrip.crew)
const whose = ref('')
const order = ref<'day' | 'worth'>('day')
const opened = ref('')
const toggle = (key: string) => (opened.value = opened.value === key ? '' : key)
const told = ref('')
const faults = ref<string[]>([])

const isShown = ({ who }: SeenTask) => whose.value === '' || who === whose.value || who === null
const shown = computed(() => ready.tasks.filter(isShown))
const byWorth = (tasks: readonly SeenTask[]) =>
  byWorthAMinute(tasks.map((task) => ({ ...task, undoneH: task.undoneH ?? 0 })))
const open = computed(() => shown.value.filter(({ state }) => state === 'open'))
const settledTasks = computed(() => [
  { id: 'left', title: 'Left undone', tasks: shown.value.filter(({ state }) => state === 'left') },
  { id: 'done', title: 'Done', tasks: shown.value.filter(({ state }) => state === 'done') },
])

interface Group {
  readonly id: string
  readonly title: string
  readonly off: string
  readonly tasks: readonly SeenTask[]
}
const groups = computed<readonly Group[]>(() => {
  if (order.value === 'worth') return [{ id: 'worth', title: 'By worth a minute', off: '', tasks: byWorth(open.value) }]
  const isLate = ({ standing }: SeenTask) => standing === 'overdue' || standing === 'too late'
  const days = [...new Set(open.value.filter((task) => !isLate(task)).map(({ due }) => due))].sort((a, b) =>
    (a ?? '9').localeCompare(b ?? '9'),
  )
  return [
    { id: 'late', title: 'Overdue', off: '', tasks: byWorth(open.value.filter(isLate)) },
    ...days.map((day) => ({
      id: day ?? 'whenever',
      title: day === null ? 'On no day yet' : calendarDayInWords(day),
      off: day === null ? '' : daysOffInWords(day, ready.seenOn),
      tasks: byWorth(open.value.filter((task) => task.due === day && !isLate(task))),
    })),
  ].filter(({ tasks }) => tasks.length > 0)
})
const minutesOf = (tasks: readonly SeenTask[]) =>
  hoursInWords(tasks.reduce((sum, { minutes }) => sum + minutes, 0) / 60)
const hasBegun = computed(() => ready.departure !== null && ready.seenOn >= ready.departure)

/** A ride that has begun, such as the demo’s, is looked at as it was when there still was time. */
function seeWeekBefore() {
  if (ready.departure !== null) ready.seenOn = daysAfter(ready.departure, -7)
}

async function addOwn() {
  const id = edits.newId()
  edits.putOwn(ownTaskSchema.parse({ id, name: 'Something of my own' }))
  opened.value = `own ${id}`
  whose.value = ''
  await focusName(`own-${id}`)
}
function goTo(key: string) {
  whose.value = ''
  opened.value = key
  void nextTick(() =>
    document.querySelector(`[data-task="${CSS.escape(key)}"]`)?.scrollIntoView({ block: 'center', behavior: 'smooth' }),
  )
}

function writeOut() {
  const entries = calendarEntries(ready.tasks, store.openTrip, catalogue)
  const text = writeCalendar(store.openTrip.name, store.id, entries, ready.seenOn)
  saveAs(new Blob([text], { type: 'text/calendar' }), `${store.openTrip.name}.ics`)
  told.value = `${entries.length} ${entries.length === 1 ? 'entry' : 'entries'} written`
}
async function takeIn(file: File) {
  faults.value = []
  told.value = ''
  try {
    const { moved, others } = edits.takeCalendar(await file.text(), ready.tasks)
    const beside = others > 0 ? `; ${others} ${others === 1 ? 'entry is' : 'entries are'} of something else` : ''
    told.value = `${moved === 0 ? 'Every day is as it was' : `${moved} ${moved === 1 ? 'day is another' : 'days are others'}`}${beside}`
  } catch (error) {
    const lines = faultLines(error)
    if (!lines) throw error
    faults.value = lines
  }
}
</script>

<template>
  <div class="pb-6">
    <header class="md:tall:sticky top-0 z-20 border-b border-line bg-paper px-4 py-3">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 class="text-2xl">Ready</h1>
        <p class="text-sm text-soft" role="status">
          <template v-if="ready.isListing">Looking the plan through …</template>
          <template v-else-if="ready.isWeighing">Weighing what hangs on each …</template>
          <template v-else>{{ told }}</template>
        </p>
        <div class="ml-auto flex flex-wrap gap-2 print:hidden">
          <NuxtLink :to="`/trips/${store.id}/papers`" class="button min-h-7!"
            ><Printer :size="15" aria-hidden="true" />Papers</NuxtLink
          >
          <button
            type="button"
            class="button min-h-7!"
            :disabled="store.openTrip.home.tasks.length >= mostOwnTasks"
            @click="addOwn"
          >
            <Plus :size="15" aria-hidden="true" />One of my own
          </button>
          <button type="button" class="button min-h-7!" @click="writeOut">
            <CalendarArrowDown :size="15" aria-hidden="true" />As a calendar
          </button>
          <FilePicker label="Take days from a calendar" accept=".ics,text/calendar" class="min-h-7!" @file="takeIn"
            >From a calendar</FilePicker
          >
        </div>
      </div>
      <p v-if="ready.departure" class="mt-1 text-sm" data-departure>
        The ride begins on <strong>{{ calendarDayInWords(ready.departure) }}</strong>,
        {{ daysOffInWords(ready.departure, ready.seenOn)
        }}<template v-if="ready.promise"
          >. With all of it done <strong class="figures">{{ hoursInWords(ready.promise.allDoneH) }}</strong> are lost on
          the road; as it stands,
          <strong class="figures">{{ hoursInWords(ready.promise.asItStandsH) }}</strong></template
        >.
      </p>
      <p v-else class="mt-1 max-w-prose text-sm text-soft">
        By when all this is to be done is known once the ride has a day to begin: set it on the Road.
      </p>
    </header>
    <FaultLines v-if="ready.failure" class="m-4" :lines="[ready.failure]" />
    <FaultLines v-if="faults.length" class="m-4" :lines="faults" />
    <p v-if="hasBegun" class="border-b border-line px-4 py-3 text-sm text-soft">
      The ride has begun by then. What is not ticked was not done: leave it undone, and the promise knows.
      <button type="button" class="underline" @click="seeWeekBefore">See the list as it was a week before</button>
    </p>
    <TonightPanel v-else @open="goTo" />
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2 px-4 py-3 text-sm print:hidden">
      <div v-if="crew.length > 1" class="flex flex-wrap gap-1" role="group" aria-label="Whose">
        <button
          v-for="{ id, name } in [{ id: '', name: 'Everybody' }, ...crew]"
          :key="id"
          type="button"
          class="button button-name min-h-7!"
          :class="whose === id ? 'bg-petrol-wash!' : ''"
          :aria-pressed="whose === id"
          @click="whose = id"
        >
          {{ name }}
        </button>
      </div>
      <label class="flex items-center gap-2 text-soft"
        >in order of
        <select v-model="order" class="field w-auto! text-ink">
          <option value="day">the day</option>
          <option value="worth">worth a minute</option>
        </select>
      </label>
      <DayField
        label="as seen on"
        :model-value="ready.seenOn"
        @update:model-value="$event && (ready.seenOn = $event)"
      />
    </div>
    <div @keydown="walkRows($event, '[data-row]')">
      <section v-for="group in groups" :key="group.id" :aria-labelledby="`${group.id}-title`">
        <h2
          :id="`${group.id}-title`"
          class="flex flex-wrap items-baseline gap-x-3 border-b border-line bg-well px-4 py-1.5 text-base"
          :class="group.id === 'late' ? 'text-madder' : ''"
        >
          {{ group.title }} <span class="text-sm font-normal text-soft">{{ group.off }}</span>
          <span class="figures ml-auto text-sm font-normal text-soft">{{ minutesOf(group.tasks) }}</span>
        </h2>
        <ul :aria-labelledby="`${group.id}-title`">
          <ReadyRow
            v-for="task in group.tasks"
            :key="task.key"
            :task="task"
            :open="opened === task.key"
            :with-day="group.id === 'late' || group.id === 'worth'"
            @toggle="toggle(task.key)"
          />
        </ul>
      </section>
      <template v-for="{ id, title, tasks } in settledTasks" :key="id">
        <section v-if="tasks.length" :aria-labelledby="`${id}-title`">
          <h2 :id="`${id}-title`" class="flex items-baseline gap-3 border-b border-line bg-well px-4 py-1.5 text-base">
            {{ title }} <span class="figures text-sm font-normal text-soft">{{ tasks.length }}</span>
          </h2>
          <ul :aria-labelledby="`${id}-title`">
            <ReadyRow
              v-for="task in tasks"
              :key="task.key"
              :task="task"
              :open="opened === task.key"
              @toggle="toggle(task.key)"
            />
          </ul>
        </section>
      </template>
    </div>
    <p class="max-w-prose px-4 pt-3 text-xs text-soft">
      To the right stands what leaving each undone costs on the road, with the kit and all else as it is: reckoned from
      planning values, no guarantee. The makers’ manuals have the last word; brakes, steering and carbon deserve a
      mechanic.
    </p>
    <ShopsPanel />
  </div>
</template>
