<script setup lang="ts">
import { navigateTo } from '#imports'
import { computed, ref } from 'vue'
import { linesOf } from '../../http/api'
import { useView } from '../../stores/view'
import type { Side } from '../../session/conflicts'
import { conflictInWords, sideInWords } from '../../session/words'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'
import BaseDialog from '../common/BaseDialog.vue'

/** The same was changed on two devices: shown side by side, and nothing is overwritten until somebody says which holds. */
const store = useTripStore()
const { system } = useView()
const lines = ref<string[]>([])
const busy = ref(false)
const conflict = computed(() => (store.state.kind === 'conflict' ? store.state : undefined))
const rows = computed(() => {
  const { trip } = store
  return trip && conflict.value
    ? conflict.value.conflicts.map((each) => ({
        key: each.key,
        what: conflictInWords(each, trip, conflict.value?.there.trip ?? trip),
        here: sideInWords(each, 'here', system.value, trip, trip.dials.currency),
        there: sideInWords(each, 'there', system.value, trip, trip.dials.currency),
      }))
    : []
})
const sides: Side[] = ['here', 'there']
const columns: Record<Side, string> = { here: 'on this device', there: 'on the other' }
const chosen = ref<Record<string, Side>>({})
const sideOf = (key: string): Side => chosen.value[key] ?? 'here'
const allOn = (side: Side) => (chosen.value = Object.fromEntries(rows.value.map(({ key }) => [key, side])))

async function go(way: () => Promise<unknown>) {
  busy.value = true
  lines.value = []
  try {
    await way()
  } catch (error) {
    lines.value = linesOf(error)
  } finally {
    busy.value = false
  }
}
async function take() {
  await store.resolve(Object.fromEntries(rows.value.map(({ key }) => [key, sideOf(key)])))
}
async function keepBoth() {
  const id = await store.keepAsCopy()
  allOn('there')
  await take()
  await navigateTo(`/trips/${id}/weigh`)
}
</script>

<template>
  <BaseDialog open must-answer wide title="Changed on two devices">
    <p>
      This was changed here and saved from another device meanwhile. Nothing has been overwritten: say for each which
      holds. What you give up here comes back with undo.
    </p>
    <table class="mt-3 w-full table-fixed text-sm">
      <thead>
        <tr class="text-left align-bottom text-xs text-soft">
          <th scope="col" class="w-1/3 py-1 pr-3 font-normal">what</th>
          <th v-for="side in sides" :key="side" scope="col" class="py-1 pr-2 font-normal">{{ columns[side] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key" class="border-t border-line align-top">
          <th scope="row" class="break-words py-2 pr-3 text-left font-semibold">{{ row.what }}</th>
          <td v-for="side in sides" :key="side" class="py-1 pr-2">
            <label
              class="flex min-h-9 cursor-pointer items-start gap-2 rounded border px-2 py-1.5 max-md:min-h-11"
              :class="sideOf(row.key) === side ? 'border-petrol bg-well' : 'border-line'"
            >
              <input
                type="radio"
                class="mt-1 accent-petrol"
                :name="row.key"
                :checked="sideOf(row.key) === side"
                @change="chosen = { ...chosen, [row.key]: side }"
              />
              <span class="min-w-0 break-words">{{ row[side] }}</span>
            </label>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="rows.length > 1" class="mt-3 flex flex-wrap gap-2">
      <button v-for="side in sides" :key="side" type="button" class="button" @click="allOn(side)">
        All as {{ columns[side] }}
      </button>
    </div>
    <div class="mt-4 flex flex-wrap justify-end gap-2">
      <button type="button" class="button" :disabled="busy" @click="go(keepBoth)">Keep mine as a new trip</button>
      <button type="button" class="button button-main" :disabled="busy" @click="go(take)">Go on with these</button>
    </div>
    <FaultLines class="mt-3" :lines="lines" />
  </BaseDialog>
</template>
