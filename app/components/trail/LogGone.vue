<script setup lang="ts">
import { catalogue } from '#catalogue'
import { losses } from '#core/log'
import { amountOfClassInWords, classInWords, lossWords } from '#wording'
import { computed, ref } from 'vue'
import { useTrailEdits } from '../../composables/useTrailEdits'
import type { Here } from '../../workers/trail-guide'

/** What is not there any more: which thing, and how it went. */
const props = defineProps<{ here: Here }>()
const emit = defineEmits<{ done: [] }>()
const { put } = useTrailEdits()

interface Row {
  readonly thing: string
  readonly name: string
  readonly stock: string | null
  readonly left: number
}
/** A stock of which one is used at a time has a line of its own beside the pieces that hold it. */
const rows = computed(() =>
  props.here.things.flatMap(({ id, name, units }): Row[] => {
    const mine = props.here.left.filter(({ thing }) => thing === id)
    const count = mine.reduce((sum, pieces) => sum + pieces.count, 0)
    if (count === 0) return []
    const stocks = Object.entries(units).flatMap(([stock, each]): Row[] => {
      const amount = mine.reduce((sum, { amounts }) => sum + (amounts[stock] ?? 0), 0)
      // What holds exactly one of its stock is that.
      return each === 1 || amount <= 0
        ? []
        : [{ thing: id, name: classInWords(stock, catalogue.families), stock, left: amount }]
    })
    return [...stocks, { thing: id, name, stock: null, left: count }]
  }),
)
const picked = ref<Row>()
const amount = ref(1)
function pick(row: Row) {
  picked.value = row
  amount.value = 1
}
const leftWords = ({ stock, left }: Row) =>
  stock === null ? `${left}` : amountOfClassInWords(left, stock, catalogue.families)
function write(why: (typeof losses)[number]) {
  const { value: row } = picked
  if (!row) return
  put({ kind: 'gone', why, spent: [{ thing: row.thing, stock: row.stock, amount: amount.value, from: null }] })
  emit('done')
}
const stepBy = computed(() => ((picked.value?.left ?? 0) > 20 ? 5 : 1))
const change = (by: number) =>
  (amount.value = Math.max(1, Math.min(Math.floor(picked.value?.left ?? 1), amount.value + by)))
</script>

<template>
  <div>
    <template v-if="picked">
      <p class="text-base">
        <strong>{{ picked.name }}</strong>, {{ leftWords(picked) }} left
      </p>
      <div v-if="picked.left > 1" class="mt-2 flex items-center gap-2">
        <button
          type="button"
          class="trail-key w-16"
          aria-label="Fewer"
          :disabled="amount <= 1"
          @click="change(-stepBy)"
        >
          −
        </button>
        <output class="figures flex-1 text-center text-2xl font-bold">{{ amount }}</output>
        <button
          type="button"
          class="trail-key w-16"
          aria-label="More"
          :disabled="amount >= picked.left"
          @click="change(stepBy)"
        >
          +
        </button>
      </div>
      <div class="mt-3 grid grid-cols-2 gap-2">
        <button
          v-for="why in losses"
          :key="why"
          type="button"
          class="trail-key first-letter:uppercase"
          @click="write(why)"
        >
          {{ lossWords[why] }}
        </button>
      </div>
      <button type="button" class="trail-key mt-3 w-full" @click="picked = undefined">Something else</button>
    </template>
    <ul v-else class="space-y-2">
      <li v-for="row in rows" :key="`${row.thing} ${row.stock}`">
        <button type="button" class="trail-key w-full justify-between! text-left!" @click="pick(row)">
          <span class="min-w-0 first-letter:uppercase">{{ row.name }}</span>
          <span class="figures shrink-0 font-normal text-soft">{{ leftWords(row) }}</span>
        </button>
      </li>
      <li v-if="rows.length === 0" class="text-base text-soft">Nothing is with you that could go.</li>
    </ul>
  </div>
</template>
