<script setup lang="ts">
import { addingUp } from '#core/maths'
import { bareHanded, type Balance } from '#core/verdicts'
import type { FootHours } from '#core/promise'
import { computed } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useSelection } from '../../stores/selection'
import { useTripStore } from '../../stores/trip'
import BaseDialog from '../common/BaseDialog.vue'

/** How the hours of the kit come about: a sum whose rows add up to the last digit, on foot and in all. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const store = useTripStore()
const kit = useKitStore()
const selection = useSelection()

/** In hundredths of an hour. */
interface Row {
  readonly key: string
  readonly words: string
  readonly foot: number
  readonly other: number
  readonly thing?: string
}

const steps = 100
/** Each column is rounded by itself so that it adds up; the third is the sum of the two. */
function rowsOf(parts: readonly FootHours[], sum?: { foot: number; other: number }) {
  const foot = addingUp(
    parts.map(({ walkH }) => walkH * steps),
    sum?.foot,
  )
  const other = addingUp(
    parts.map(({ hours, walkH }) => (hours - walkH) * steps),
    sum?.other,
  )
  return parts.map((_, i) => ({ foot: foot[i] ?? 0, other: other[i] ?? 0 }))
}
const nameOf = (id: string) =>
  id === bareHanded ? 'bare hands' : (store.trip?.bench.find((thing) => thing.id === id)?.name ?? id)

const sum = computed(() => {
  const balance: Balance | undefined = kit.kit?.balance
  if (!balance) return undefined
  const { bare, things, open, failed, workH, residual } = balance
  const left = rowsOf([open, failed, { hours: workH, walkH: 0 }, residual])
  const [nothing, vain, work, slower] = left
  if (!nothing || !vain || !work || !slower) return undefined
  const unmended = { foot: nothing.foot + vain.foot, other: nothing.other + vain.other }
  const all = { foot: Math.round(bare.walkH * steps), other: Math.round((bare.hours - bare.walkH) * steps) }
  const spared = rowsOf(things, { foot: all.foot - unmended.foot, other: all.other - unmended.other })
  const rows = things.map(({ item }, i): Row => ({
    key: item,
    words: nameOf(item),
    foot: -(spared[i]?.foot ?? 0),
    other: -(spared[i]?.other ?? 0),
    ...(item !== bareHanded && { thing: item }),
  }))
  return {
    all,
    rows: rows.filter(({ foot, other }) => foot !== 0 || other !== 0),
    unmended,
    nothing,
    vain,
    work,
    slower,
    lost: {
      foot: left.reduce((total, { foot }) => total + foot, 0),
      other: left.reduce((total, { other }) => total + other, 0),
    },
  }
})
const inHours = (hundredths: number) => `${hundredths < 0 ? '−' : ''}${(Math.abs(hundredths) / steps).toFixed(2)}`
function show(thing: string) {
  selection.thingId = thing
  emit('close')
}
</script>

<template>
  <BaseDialog :open="open" title="How the hours add up" wide @close="$emit('close')">
    <table v-if="sum" class="w-full text-sm" aria-label="The sum">
      <thead>
        <tr class="text-right text-xs text-soft">
          <th class="pb-1 text-left font-normal">hours, in the mean of all trips</th>
          <th class="w-20 pb-1 font-normal max-sm:w-14">on foot</th>
          <th class="w-20 pb-1 font-normal max-sm:w-14">besides</th>
          <th class="w-20 pb-1 font-normal max-sm:w-14">in all</th>
        </tr>
      </thead>
      <tbody class="[&_td]:border-t [&_td]:border-line [&_td]:py-1">
        <tr class="font-semibold">
          <td>If nothing were mended</td>
          <td class="figures text-right">{{ inHours(sum.all.foot) }}</td>
          <td class="figures text-right">{{ inHours(sum.all.other) }}</td>
          <td class="figures text-right">{{ inHours(sum.all.foot + sum.all.other) }}</td>
        </tr>
        <tr v-for="row in sum.rows" :key="row.key" class="text-petrol">
          <td class="[overflow-wrap:anywhere]">
            <span class="max-sm:hidden">spared by</span>{{ ' ' }}
            <button v-if="row.thing" type="button" class="text-left underline" @click="show(row.thing)">
              {{ row.words }}
            </button>
            <template v-else>{{ row.words }}</template>
          </td>
          <td class="figures text-right">{{ inHours(row.foot) }}</td>
          <td class="figures text-right">{{ inHours(row.other) }}</td>
          <td class="figures text-right">{{ inHours(row.foot + row.other) }}</td>
        </tr>
        <tr class="font-semibold">
          <td>Left unmended</td>
          <td class="figures text-right">{{ inHours(sum.unmended.foot) }}</td>
          <td class="figures text-right">{{ inHours(sum.unmended.other) }}</td>
          <td class="figures text-right">{{ inHours(sum.unmended.foot + sum.unmended.other) }}</td>
        </tr>
        <tr class="text-soft">
          <td class="pl-4">of it: nothing carried that works could be tried</td>
          <td class="figures text-right">{{ inHours(sum.nothing.foot) }}</td>
          <td class="figures text-right">{{ inHours(sum.nothing.other) }}</td>
          <td class="figures text-right">{{ inHours(sum.nothing.foot + sum.nothing.other) }}</td>
        </tr>
        <tr class="text-soft">
          <td class="pl-4">tried in vain, or used up</td>
          <td class="figures text-right">{{ inHours(sum.vain.foot) }}</td>
          <td class="figures text-right">{{ inHours(sum.vain.other) }}</td>
          <td class="figures text-right">{{ inHours(sum.vain.foot + sum.vain.other) }}</td>
        </tr>
        <tr>
          <td>the work of mending</td>
          <td class="figures text-right">{{ inHours(sum.work.foot) }}</td>
          <td class="figures text-right">{{ inHours(sum.work.other) }}</td>
          <td class="figures text-right">{{ inHours(sum.work.foot + sum.work.other) }}</td>
        </tr>
        <tr>
          <td>slower riding, and failing again, once mended</td>
          <td class="figures text-right">{{ inHours(sum.slower.foot) }}</td>
          <td class="figures text-right">{{ inHours(sum.slower.other) }}</td>
          <td class="figures text-right">{{ inHours(sum.slower.foot + sum.slower.other) }}</td>
        </tr>
        <tr class="font-semibold">
          <td class="border-t-2! border-ink!">Lost with this kit</td>
          <td class="figures border-t-2! border-ink! text-right">{{ inHours(sum.lost.foot) }}</td>
          <td class="figures border-t-2! border-ink! text-right">{{ inHours(sum.lost.other) }}</td>
          <td class="figures border-t-2! border-ink! text-right" data-lost>
            {{ inHours(sum.lost.foot + sum.lost.other) }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-3 max-w-prose text-xs text-soft">
      What a fix spares is shared evenly among the things that it takes: a patch is nothing without a pump. So a row
      here is less than what its thing is worth by itself; that is what its verdict says. “Besides” is what you say
      other things are worth in hours: nights out, the ride being over, being stranded, waiting, slower riding.
    </p>
  </BaseDialog>
</template>
