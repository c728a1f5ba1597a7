<script setup lang="ts">
import type { Thing } from '#core/bench'
import type { Rider } from '#core/crew'
import type { ShiftCosts } from '#core/split'
import { hoursInWords } from '#wording'
import { GripVertical, Pin } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { useSplitEdits } from '../../composables/useSplitEdits'
import { useSplit } from '../../stores/split'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** Pieces of a thing on a rider: dragged by the grip, given by a key, or opened to see what giving them away costs. */
const props = defineProps<{ thing: Thing; item: number; count: number; rider: Rider; opened: boolean }>()
const emit = defineEmits<{ open: []; give: [to: string] }>()
const store = useTripStore()
const split = useSplit()
const edits = useSplitEdits()
const { grams } = useView()

const crew = computed(() => store.openTrip.crew)
const others = computed(() =>
  crew.value.flatMap((rider, number) => (rider.id === props.rider.id ? [] : [{ rider, number }])),
)
const stays = computed(() => (props.thing.carriedBy[props.rider.id] ?? 0) >= props.count)
const isMore = computed(() => (split.plan?.counts[props.item] ?? 0) > (split.plan?.kit[props.item] ?? 0))
const because = computed(() => (split.plan?.isEverApart ? 'because apart' : 'not all are there'))

const costs = ref<readonly ShiftCosts[]>()
watch(
  [() => props.opened, () => split.plan, () => split.isBusy],
  async ([opened]) => {
    costs.value = undefined
    if (!opened) return
    const from = crew.value.findIndex(({ id }) => id === props.rider.id)
    costs.value = await split.costsOf(others.value.map(({ number: to }) => [{ item: props.item, from, to }]))
  },
  { immediate: true },
)
/** Less than so many hours is no difference that anybody would see. */
const leastH = 1 / 3600
const inWords = (hours: number) =>
  Math.abs(hours) < leastH
    ? 'as many hours'
    : `${hoursInWords(Math.abs(hours))} ${hours > 0 ? 'more lost' : 'less lost'}`
function told({ togetherH, apartH, fetchH, unevenG }: ShiftCosts): string {
  const even = Math.round(Math.abs(unevenG))
  return [
    inWords(togetherH + apartH),
    ...(Math.abs(fetchH) < leastH
      ? []
      : [`${hoursInWords(Math.abs(fetchH))} ${fetchH > 0 ? 'more' : 'less'} handing over`]),
    ...(even < 1 ? [] : [`${grams(even)} ${unevenG > 0 ? 'less even' : 'more even'}`]),
  ].join(', ')
}
function onKey(event: KeyboardEvent) {
  if (event.metaKey || event.ctrlKey || event.altKey) return
  const to = crew.value[Number(event.key) - 1]
  if (to && to.id !== props.rider.id) emit('give', to.id)
  else if (event.key === ' ') toggle()
  else return
  event.preventDefault()
}
function toggle() {
  if (stays.value) edits.letGo(props.thing, props.rider.id)
  else edits.keep(props.thing, props.rider.id)
}
</script>

<template>
  <li
    :data-thing="thing.id"
    class="list-none border-b border-line/60 last:border-b-0"
    :class="opened ? 'bg-petrol-wash/50' : ''"
  >
    <div class="flex items-stretch">
      <span
        v-if="others.length > 0"
        data-grip
        class="flex w-7 shrink-0 cursor-grab touch-none items-center justify-center text-soft print:hidden pointer-coarse:w-11"
        aria-hidden="true"
        ><GripVertical :size="15"
      /></span>
      <button
        type="button"
        class="piece flex min-w-0 flex-1 items-baseline gap-2 py-1.5 pr-3 text-left text-sm pointer-coarse:min-h-11 pointer-coarse:items-center"
        :class="others.length > 0 ? '' : 'pl-3'"
        :aria-expanded="opened"
        :aria-label="`${count > 1 ? `${count} × ` : ''}${thing.name}, ${grams(count * thing.massG)}${stays ? ', stays here' : ''}`"
        @click="emit('open')"
        @keydown="onKey"
      >
        <span class="min-w-0 flex-1"
          ><span v-if="count > 1" class="figures">{{ count }} × </span>{{ thing.name
          }}<span v-if="isMore" class="ml-1.5 whitespace-nowrap rounded-xs bg-brass-wash px-1 text-xs text-brass">{{
            because
          }}</span></span
        >
        <Pin v-if="stays && others.length > 0" :size="13" class="shrink-0 self-center text-petrol" aria-hidden="true" />
        <span class="figures shrink-0 text-soft">{{ grams(count * thing.massG) }}</span>
      </button>
    </div>
    <div v-if="opened" class="px-3 pb-2 text-sm print:hidden">
      <ul v-if="others.length > 0" class="space-y-1" aria-label="Give it to">
        <li v-for="({ rider: other }, i) in others" :key="other.id">
          <button type="button" class="button w-full justify-start! text-left" @click="emit('give', other.id)">
            <span class="min-w-0"
              >to {{ other.name
              }}<span v-if="costs?.[i]" class="block text-xs text-soft">{{ told(costs[i]) }}</span></span
            >
          </button>
        </li>
      </ul>
      <button v-if="others.length > 0" type="button" class="mt-1 underline pointer-coarse:min-h-11" @click="toggle">
        {{ stays ? 'It may change hands' : `It stays with ${rider.name}` }}
      </button>
    </div>
  </li>
</template>
