<script setup lang="ts">
import { RotateCcw, Trash2 } from '@lucide/vue'
import { onMounted, shallowRef } from 'vue'
import { useTrips, type BinLine } from '../../stores/trips'
import { useRequest } from '../../composables/useRequest'
import FaultLines from '../common/FaultLines.vue'
import BaseDialog from '../common/BaseDialog.vue'
import { localeOfApp } from '../common/locale-of-app'

/** The trips that were thrown away: seen, taken back, or gone for good. */
const emit = defineEmits<{ restored: [] }>()

const bin = shallowRef<BinLine[]>([])
const { busy, lines, attempt } = useRequest()
/** What is asked about before it goes for good: one trip, or all. */
const asked = shallowRef<BinLine | 'all'>()

async function look() {
  bin.value = await useTrips().bin()
}
// Whoever has no way to the server is told so by the list of trips.
onMounted(() => void look().catch(() => undefined))
defineExpose({ look })

function takeBack(trip: BinLine) {
  void attempt(async () => {
    await useTrips().takeBack(trip.id)
    await look()
    emit('restored')
  })
}
async function takeAway() {
  const which = asked.value
  const isDone = await attempt(async () => {
    await (which === 'all' || !which ? useTrips().emptyBin() : useTrips().takeAway(which.id))
    await look()
  })
  if (isDone) asked.value = undefined
}
const dayOf = (at: string) => new Date(at).toLocaleDateString(localeOfApp, { day: 'numeric', month: 'long' })
</script>

<template>
  <details v-if="bin.length" class="mt-6">
    <summary class="py-1 text-sm font-semibold text-soft">
      Bin · {{ bin.length === 1 ? 'one trip' : `${bin.length} trips` }}
    </summary>
    <FaultLines v-if="!asked" class="mt-2" :lines="lines" />
    <ul class="mt-2 divide-y divide-line border-y border-line">
      <li v-for="trip in bin" :key="trip.id" class="flex items-center gap-2 py-1.5">
        <span class="min-w-0 flex-1">
          <span class="block font-semibold">{{ trip.name }}</span>
          <span class="text-sm text-soft">thrown away {{ dayOf(trip.deletedAt) }}</span>
        </span>
        <button
          type="button"
          class="button"
          :disabled="busy"
          :aria-label="`Take back ${trip.name}`"
          @click="takeBack(trip)"
        >
          <RotateCcw :size="15" aria-hidden="true" />Take back
        </button>
        <button
          type="button"
          class="button button-bare"
          :disabled="busy"
          :aria-label="`Delete ${trip.name} for good`"
          @click="asked = trip"
        >
          <Trash2 :size="16" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <button type="button" class="button mt-3" :disabled="busy" @click="asked = 'all'">Empty the bin</button>
    <BaseDialog
      :open="asked !== undefined"
      :title="asked === 'all' ? 'Empty the bin' : 'Delete for good'"
      @close="asked = undefined"
    >
      <p>
        <template v-if="asked === 'all'"
          >{{ bin.length === 1 ? 'The trip' : `All ${bin.length} trips` }} in the bin</template
        ><template v-else>“{{ asked?.name }}”</template>
        cannot be brought back after that.
      </p>
      <FaultLines class="mt-3" :lines="lines" />
      <div class="mt-4 flex justify-end gap-2">
        <button type="button" class="button" @click="asked = undefined">Keep</button>
        <button type="button" class="button text-madder!" :disabled="busy" @click="takeAway">Delete for good</button>
      </div>
    </BaseDialog>
  </details>
</template>
