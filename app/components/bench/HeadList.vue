<script setup lang="ts">
import { X } from '@lucide/vue'
import { headSchema, type Head } from '#core/bench'
import { readHeads } from '#core/fit'
import { faultLines } from '#core/trip'
import { headInWords } from '#wording'
import { ref } from 'vue'
import MeasureField from '../common/MeasureField.vue'

/** The ends of a tool that get hold of something: each with its lever and how far it reaches. */
const props = defineProps<{ heads: readonly Head[] }>()
const emit = defineEmits<{ change: [heads: Head[]] }>()

const typed = ref('')
const fault = ref('')
/** Ends that have no size are picked, not typed. */
const sizeless: Record<string, Head> = {
  'chain breaker': headSchema.parse({ profile: 'chain-pin', leverMm: 35, spins: true }),
  'link pliers': headSchema.parse({ profile: 'link-pliers', leverMm: 60 }),
  'Presta core': headSchema.parse({ profile: 'valve-core', size: 'presta', leverMm: 9, spins: true }),
  'Schrader core': headSchema.parse({ profile: 'valve-core', size: 'schrader', leverMm: 9, spins: true }),
  'lockring, against the frame': headSchema.parse({ profile: 'spline', size: 'c1', leverMm: 170, reachMm: 30 }),
  'lockring, for a big wrench': headSchema.parse({
    profile: 'spline',
    size: 'c1',
    leverMm: 0,
    turnedByMm: 24,
    reachMm: 30,
  }),
}

function add() {
  if (typed.value.trim() === '') return
  try {
    emit('change', [...props.heads, ...readHeads(typed.value, 'Ends')])
    typed.value = ''
    fault.value = ''
  } catch (error) {
    fault.value = faultLines(error)?.join(' ') ?? String(error)
  }
}
function addSizeless(event: Event) {
  const select = event.target as HTMLSelectElement
  const head = sizeless[select.value]
  if (head) emit('change', [...props.heads, head])
  select.value = ''
}
const set = (i: number, part: Partial<Head>) =>
  emit(
    'change',
    props.heads.map((head, at) => (at === i ? ({ ...head, ...part } as Head) : head)),
  )
</script>

<template>
  <fieldset>
    <legend class="text-sm text-soft">Ends that turn something</legend>
    <ul v-if="heads.length" class="my-1 max-h-48 overflow-y-auto" tabindex="0">
      <li
        v-for="(head, i) in heads"
        :key="i"
        class="grid grid-cols-[minmax(0,1fr)_6rem_6rem_2rem] items-end gap-2 border-b border-line py-1"
      >
        <span class="min-w-0 pb-1.5 text-sm font-semibold">{{ headInWords(head) }}</span>
        <MeasureField
          :label="i ? `Lever of ${headInWords(head)}` : 'lever'"
          :label-hidden="i > 0"
          :model-value="head.leverMm"
          amount="length"
          :most="1000"
          @update:model-value="$event !== null && set(i, { leverMm: $event })"
        />
        <MeasureField
          :label="i ? `Reach of ${headInWords(head)}` : 'reaches'"
          :label-hidden="i > 0"
          :model-value="head.reachMm"
          amount="length"
          :most="500"
          @update:model-value="$event !== null && set(i, { reachMm: $event })"
        />
        <button
          type="button"
          class="button button-bare"
          :aria-label="`It has no ${headInWords(head)}`"
          @click="
            emit(
              'change',
              heads.filter((_, at) => at !== i),
            )
          "
        >
          <X :size="14" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <div class="mt-1 grid grid-cols-[minmax(0,1fr)_auto] gap-2">
      <input
        v-model="typed"
        class="field"
        aria-label="Ends to add"
        placeholder="hex4 hex5 T25 PH2 ring15 open8 adjustable16 spoke3.2"
        autocomplete="off"
        spellcheck="false"
        @keydown.enter.prevent="add"
      />
      <button type="button" class="button" @click="add">Add</button>
    </div>
    <select class="field mt-1" aria-label="Add an end without a size" @change="addSizeless">
      <option value="">or one of these …</option>
      <option v-for="(_, name) in sizeless" :key="name">{{ name }}</option>
    </select>
    <p v-if="fault" role="alert" class="mt-1 text-xs text-madder">{{ fault }}</p>
  </fieldset>
</template>
