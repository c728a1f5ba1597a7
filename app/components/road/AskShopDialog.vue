<script setup lang="ts">
import { defined } from '#core/validation'
import {
  afterAsking,
  counterAnswerSchema,
  stockChance,
  type CounterAnswer,
  type Service,
  type Stop,
} from '#core/supply'
import { counterAnswerInWords, classInWords, chanceInWords } from '#wording'
import { catalogue } from '#catalogue'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { api, linesOf } from '../../http/api'
import { useStopEdits } from '../../composables/useStopEdits'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import BaseDialog from '../common/BaseDialog.vue'

/** Asks a shop whether it has a part; what it says can be written down at the stop. */
const props = defineProps<{ stop: Stop; service: Service; kindName: string }>()
const emit = defineEmits<{ close: [] }>()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()
const { changeService } = useStopEdits()

const options = computed(() =>
  (kit.analysis?.availability ?? [])
    .map(({ classId }) => ({
      classId,
      name: classInWords(classId, catalogue.families),
      chance: stockChance(props.service, classId, catalogue.services, catalogue.families),
    }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const classId = ref(selection.classId || options.value[0]?.classId || '')
const chosen = computed(() => options.value.find((option) => option.classId === classId.value))
const asking = ref(false)
const answer = shallowRef<CounterAnswer>()
const problem = ref('')
let stopAsking: AbortController | undefined
watch(classId, () => (answer.value = undefined))
onBeforeUnmount(() => stopAsking?.abort())

async function ask() {
  answer.value = undefined
  problem.value = ''
  asking.value = true
  stopAsking = new AbortController()
  try {
    // What is asked about must be there to be asked about.
    await store.flush()
    answer.value = counterAnswerSchema.parse(
      await api<unknown>(`/api/trips/${store.id}/counter`, {
        method: 'POST',
        body: { stop: props.stop.id, kind: props.service.kind, classId: classId.value },
        signal: stopAsking.signal,
      }),
    )
  } catch (error) {
    if (!stopAsking.signal.aborted) problem.value = linesOf(error).join(' ')
  } finally {
    asking.value = false
  }
}

const daysUntilVisit = computed(() => {
  const arrives = kit.analysis?.ride?.stops.find(({ stop }) => stop === props.stop.id)?.stay.arrives
  return arrives === undefined ? null : (arrives - Date.now() / 60_000) / (24 * 60)
})
const after = computed(() =>
  answer.value ? afterAsking(props.service, classId.value, answer.value, daysUntilVisit.value) : undefined,
)
const learned = computed(() => after.value && after.value !== props.service)
function write() {
  const { knownFrom, stocks } = defined(after.value)
  changeService(props.stop, props.service.kind, { knownFrom, stocks }, `what ${props.stop.name} says`)
  emit('close')
}
</script>

<template>
  <BaseDialog open :title="`Ask the ${kindName} at ${stop.name}`" @close="emit('close')">
    <div class="space-y-3 text-sm">
      <p class="text-soft">No shop is called: an invented one stands in, with its own hours, stock and moods.</p>
      <label class="block text-soft"
        >Do you have
        <select v-model="classId" class="field mt-1 text-ink">
          <option v-for="option in options" :key="option.classId" :value="option.classId">{{ option.name }}</option>
        </select>
      </label>
      <p v-if="chosen">
        So far it is taken to have it with <span class="figures">{{ chanceInWords(chosen.chance) }}</span>.
      </p>
      <p v-if="answer" role="status" class="rounded border border-line bg-well px-3 py-2 font-semibold">
        {{ counterAnswerInWords(answer) }}
      </p>
      <p v-if="problem" role="alert" class="text-madder">{{ problem }}</p>
      <div class="flex justify-end gap-2">
        <button v-if="asking" type="button" class="button" @click="stopAsking?.abort()">Stop waiting</button>
        <button
          type="button"
          class="button"
          :class="learned ? '' : 'button-main'"
          :disabled="asking || !classId"
          @click="ask"
        >
          {{ asking ? 'Waiting for an answer …' : answer ? 'Ask again' : 'Ask' }}
        </button>
        <button v-if="learned" type="button" class="button button-main" @click="write">Write it down</button>
      </div>
    </div>
  </BaseDialog>
</template>
