<script setup lang="ts">
import { catalogue } from '#catalogue'
import { bulkOf } from '#core/bench'
import type { Bike } from '#core/bike'
import { cureGrams, type MoveCost, type PackedLayer } from '#core/pack'
import { withPlanning } from '#core/reference'
import { nth } from '#core/validation'
import { amountInWords, cureWords, hoursInWords, reachedInWords, wantedInWords } from '#wording'
import { GripVertical, Pin } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { usePackEdits } from '../../composables/usePackEdits'
import { usePack } from '../../stores/pack'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** Pieces of a thing where they lie: dragged by the grip, or opened to see what another place would cost. */
const props = defineProps<{ bike: Bike; storageId: string; layer: PackedLayer; opened: boolean }>()
const emit = defineEmits<{ open: []; measure: [thingId: string] }>()
const store = useTripStore()
const pack = usePack()
const edits = usePackEdits()
const { grams, system } = useView()

const thing = computed(() => nth(store.openTrip.bench, props.layer.thing))
const host = computed(() => (props.layer.on === null ? undefined : store.openTrip.bench[props.layer.on]))
const stays = computed(() => props.layer.stays >= props.layer.count)
const bulk = computed(() => bulkOf(thing.value, catalogue.items))
const packing = computed(() => withPlanning(catalogue, store.openTrip.dials.planning).packing)
const size = computed(() => {
  const { volumeMl, longestMm, isGuessed } = bulk.value
  const said = `${amountInWords(volumeMl, 'volume', system.value)}, ${amountInWords(longestMm, 'length', system.value)} long`
  return isGuessed ? `about ${said}, guessed from its weight` : said
})
const others = computed(() => props.bike.storage.filter(({ id }) => id !== props.storageId))

const costs = ref<readonly MoveCost[]>()
watch(
  [() => props.opened, () => pack.plans, () => pack.isBusy],
  async ([opened]) => {
    costs.value = undefined
    if (opened) costs.value = await pack.movesFrom(props.bike.id, props.layer.thing, props.storageId)
  },
  { immediate: true },
)
/** Less than so many hours on a trip is no difference that anybody would see. */
const leastH = 1 / 3600
function told(storageId: string): string {
  const cost = costs.value?.find((each) => each.storageId === storageId)
  if (!cost) return ''
  if (cost.hours === null) return 'does not go in as things lie'
  if (Math.abs(cost.hours) < leastH) return 'costs nothing more'
  return `${hoursInWords(Math.abs(cost.hours))} ${cost.hours > 0 ? 'more' : 'less'}`
}
function toggle() {
  if (stays.value) edits.letGo(thing.value, props.bike, props.storageId)
  else edits.keep(thing.value, props.bike, props.storageId)
}
function onKey(event: KeyboardEvent) {
  if (event.metaKey || event.ctrlKey || event.altKey || event.key !== ' ') return
  event.preventDefault()
  toggle()
}
</script>

<template>
  <li
    :id="`packed-${bike.id}-${thing.id}`"
    :data-thing="thing.id"
    class="list-none border-b border-line/60 last:border-b-0"
    :class="opened ? 'bg-petrol-wash/50' : ''"
  >
    <div class="flex items-stretch">
      <span
        data-grip
        class="flex w-7 shrink-0 cursor-grab touch-none items-center justify-center text-soft print:hidden pointer-coarse:w-11"
        aria-hidden="true"
        ><GripVertical :size="15"
      /></span>
      <button
        type="button"
        class="piece flex min-w-0 flex-1 items-baseline gap-2 py-1.5 pr-3 text-left text-sm pointer-coarse:min-h-11"
        :aria-expanded="opened"
        @click="emit('open')"
        @keydown="onKey"
      >
        <span class="min-w-0 flex-1"
          ><span v-if="layer.count > 1" class="figures">{{ layer.count }} × </span>{{ thing.name }}
          <span class="block text-xs text-soft"
            >{{ wantedInWords(layer.times) }}, {{ reachedInWords(layer.accessH)
            }}<template v-if="host">; with the {{ host.name }}</template></span
          ><span v-for="cure in layer.cures" :key="cure" class="block text-xs text-brass"
            >{{ cureWords[cure]
            }}<template v-if="cureGrams(cure, packing) > 0"
              >, {{ grams(layer.count * cureGrams(cure, packing)) }}</template
            ></span
          ></span
        >
        <Pin v-if="stays" :size="13" class="shrink-0 self-center text-petrol" aria-hidden="true" />
        <span v-if="stays" class="sr-only">stays here</span>
        <span class="figures shrink-0 text-soft">{{ grams(layer.count * thing.massG) }}</span>
      </button>
    </div>
    <div v-if="opened" class="px-3 pb-2 text-sm print:hidden">
      <ul v-if="others.length > 0" class="space-y-1" aria-label="Put it into">
        <li v-for="other in others" :key="other.id">
          <button
            type="button"
            class="button w-full justify-start! text-left"
            @click="edits.put(thing, bike, storageId, other.id)"
          >
            <span class="min-w-0"
              >into {{ other.name
              }}<span v-if="told(other.id)" class="block text-xs text-soft">{{ told(other.id) }}</span></span
            >
          </button>
        </li>
      </ul>
      <div class="mt-1 flex flex-wrap gap-x-4">
        <button type="button" class="underline pointer-coarse:min-h-11" @click="toggle">
          {{ stays ? 'It may be packed elsewhere' : 'It stays here' }}
        </button>
        <button type="button" class="underline pointer-coarse:min-h-11" @click="emit('measure', thing.id)">
          {{ size }}
        </button>
      </div>
    </div>
  </li>
</template>
