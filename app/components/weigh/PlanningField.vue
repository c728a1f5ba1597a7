<script setup lang="ts">
import { formatMoney, planningCurrency } from '#core/money'
import { changedPlanning, type PlanningKind, type PlanningValue } from '#core/reference'
import type { Amount } from '#core/units'
import { amountInWords } from '#wording'
import { RotateCcw } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useRequest } from '../../composables/useRequest'
import { useOwnPlanning } from '../../stores/own-planning'
import { useView } from '../../stores/view'
import { useTripStore } from '../../stores/trip'
import FaultLines from '../common/FaultLines.vue'
import MeasureField from '../common/MeasureField.vue'
import MoneyField from '../common/MoneyField.vue'

/** A planning value of the reference, to be changed for this trip or for all of one's trips, and set back. */
const props = defineProps<{ value: PlanningValue; label: string; labelHidden?: boolean }>()
const store = useTripStore()
const { system } = useView()
const { planning: inAll, change: changeAll } = useOwnPlanning()
const { busy, lines, attempt } = useRequest()
const said = ref('')

const amounts: Record<PlanningKind, Amount> = {
  per1000km: 'rate',
  stops: 'share',
  limpShare: 'share',
  lifeKm: 'road',
  holds: 'share',
  lastsKm: 'road',
  minutes: 'time',
  hands: 'share',
  works: 'share',
  awkward: 'share',
  fetch: 'minutes',
  uneven: 'share',
  dig: 'seconds',
  unwrap: 'minutes',
  hurry: 'number',
  high: 'share',
  tapeG: 'mass',
  bagG: 'mass',
  price: 'share',
  days: 'number',
  keptDays: 'number',
  unchecked: 'number',
  untried: 'share',
  sealedY: 'months',
  openedY: 'months',
}
const amount = computed(() => amounts[props.value.kind])
/** Minutes of the reference are hours to the field, which takes "25 min"; years are months. */
const scales: Partial<Record<PlanningKind, number>> = {
  minutes: 60,
  fetch: 60,
  unwrap: 60,
  dig: 3600,
  sealedY: 1 / 12,
  openedY: 1 / 12,
}
const scale = computed(() => scales[props.value.kind] ?? 1)
const own = computed(() => store.openTrip.dials.planning[props.value.key])
const isMoney = computed(() => props.value.kind === 'price')
const currency = computed(() => store.openTrip.dials.currency)
/** Prices of the reference are known in one currency only. */
const isUsualKnown = computed(() => !isMoney.value || currency.value === planningCurrency)
const usualInWords = computed(() => {
  if (isMoney.value) return isUsualKnown.value ? formatMoney(props.value.value, currency.value) : 'nobody has said'
  return amountInWords(props.value.value / scale.value, amount.value, system.value)
})

function set(to: number | null) {
  const { key, value } = props.value
  const { dials } = store.openTrip
  const isUsual = to === null || (isUsualKnown.value && Math.abs(to * scale.value - value) < 1e-9)
  const change = isUsual ? { planning: {}, back: [key] } : { planning: { [key]: to * scale.value }, back: [] }
  store.edit(`set ${props.label}`, { dials: { ...dials, planning: changedPlanning(dials.planning, change) } })
  said.value = ''
}

const isInAll = computed(() => own.value !== undefined && inAll.value?.[props.value.key] === own.value)
/** Sets it in all trips as it is in this one; where it is so already, sets it back in all. */
async function settleInAll() {
  const { key } = props.value
  const mine = own.value
  if (mine === undefined) return
  const changes = isInAll.value ? { back: [key] } : { planning: { [key]: mine } }
  if (isInAll.value) set(null)
  said.value = ''
  await attempt(async () => {
    const trips = await changeAll(changes, store.id)
    said.value =
      trips === 0
        ? 'and in trips to come'
        : `${trips} other ${trips === 1 ? 'trip' : 'trips'} changed, and those to come`
  })
}
</script>

<template>
  <div>
    <MoneyField
      v-if="isMoney"
      :label="label"
      :model-value="own ?? (isUsualKnown ? value.value : null)"
      :currency="currency"
      allow-none
      @update:model-value="set"
    />
    <MeasureField
      v-else
      :label="label"
      :label-hidden="labelHidden ?? false"
      :model-value="(own ?? value.value) / scale"
      :amount="amount"
      :least="value.least / scale"
      :most="value.most / scale"
      @update:model-value="set"
    />
    <button
      v-if="own !== undefined"
      type="button"
      class="mt-0.5 flex items-center gap-1 text-xs underline max-md:min-h-11"
      :aria-label="`Set ${label} back to ${usualInWords}`"
      @click="set(null)"
    >
      <RotateCcw :size="12" aria-hidden="true" />back to {{ usualInWords }}
    </button>
    <button
      v-if="own !== undefined && inAll && !isMoney"
      type="button"
      class="flex items-center gap-1 text-xs underline max-md:min-h-11"
      :aria-label="isInAll ? `Set ${label} back to ${usualInWords} in all my trips` : `Set ${label} so in all my trips`"
      :disabled="busy"
      @click="settleInAll"
    >
      {{ isInAll ? 'back in all my trips' : 'so in all my trips' }}
    </button>
    <p role="status" class="text-xs text-soft">{{ said }}</p>
    <FaultLines :lines="lines" />
  </div>
</template>
