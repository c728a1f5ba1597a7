<script setup lang="ts">
import { bagSets, catalogue } from '#catalogue'
import { hungAnyway, mostStorage, type Bike } from '#core/bike'
import { hasPlaceFor, type PackPlan } from '#core/pack'
import { defined } from '#core/validation'
import { hoursInWords } from '#wording'
import { Plus } from '@lucide/vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { usePackEdits } from '../../composables/usePackEdits'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'
import AddBagDialog from './AddBagDialog.vue'
import BagCard from './BagCard.vue'
import LeftOutLines from './LeftOutLines.vue'
import PackedPicture from './PackedPicture.vue'

/** A bike with its bags and what lies in each. */
const props = defineProps<{ bike: Bike; plan: PackPlan | undefined; opened: string }>()
const emit = defineEmits<{ open: [key: string]; measure: [thingId: string] }>()
const store = useTripStore()
const edits = usePackEdits()
const { grams } = useView()

const picked = ref('')
const isAdding = ref(false)
const riders = computed(() => store.openTrip.crew.filter(({ bikeId }) => bikeId === props.bike.id))
const isAnyKept = computed(() =>
  store.openTrip.bench.some(({ packedIn }) => packedIn.some(({ bikeId }) => bikeId === props.bike.id)),
)
const placeOf = (storageId: string) => props.plan?.places.find((place) => place.storageId === storageId)
/** One below the other on a phone, else in two columns that stay as they are while a piece is dragged. */
const isPhone = useMediaQuery('(max-width: 639px)')
const columns = computed(() => {
  const { storage } = props.bike
  return isPhone.value ? [storage] : [0, 1].map((column) => storage.filter((_, i) => i % 2 === column))
})
/** Sets of bags that this bike has places for. */
const sets = computed(() =>
  bagSets.flatMap(({ name, bags }) => {
    const found = bags.map((id) => defined(catalogue.containers.find((bag) => bag.id === id)))
    return found.every((bag) => hasPlaceFor(props.bike, bag)) ? [{ name, bags: found.map(hungAnyway) }] : []
  }),
)
const curesG = computed(() => props.plan?.costs.curesG ?? 0)
async function pick(storageId: string) {
  picked.value = picked.value === storageId ? '' : storageId
  await nextTick()
  if (picked.value) document.getElementById(`bag-${props.bike.id}-${storageId}`)?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <section :aria-label="bike.name">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <h2 class="text-lg">{{ riders.map(({ name }) => name).join(' and ') }}</h2>
      <p class="text-sm text-soft">{{ bike.name }}</p>
      <div class="ml-auto flex gap-2 print:hidden">
        <button
          type="button"
          class="button min-h-7!"
          :disabled="bike.storage.length >= mostStorage"
          @click="isAdding = true"
        >
          <Plus :size="14" aria-hidden="true" />A bag
        </button>
        <button type="button" class="button min-h-7!" :disabled="!isAnyKept" @click="edits.packAnew(bike)">
          Pack anew
        </button>
      </div>
    </div>
    <p v-if="plan" class="mt-0.5 text-sm" data-sums>
      <strong class="figures">{{ hoursInWords(plan.costs.diggingH) }}</strong> of reaching and digging on the
      trip<template v-if="curesG > 0"
        >; <strong class="figures">{{ grams(curesG) }}</strong> of tape and small bags that keep things whole</template
      ><template v-if="plan.costs.bagsG > 0"
        >; <strong class="figures">{{ grams(plan.costs.bagsG) }}</strong> of bags for the kit alone</template
      >
    </p>
    <LeftOutLines
      v-if="plan && plan.out.length > 0"
      class="mt-2"
      :bike="bike"
      :out="plan.out"
      @measure="emit('measure', $event)"
    />
    <div class="mt-2">
      <PackedPicture
        class="mx-auto mb-3 max-h-44 sm:max-h-60 print:hidden"
        :bike="bike"
        :plan="plan"
        :picked="picked"
        @pick="pick"
      />
      <div v-if="bike.storage.length > 0" class="flex items-start gap-3">
        <div v-for="(column, i) in columns" :key="i" class="min-w-0 flex-1">
          <BagCard
            v-for="bag in column"
            :key="bag.id"
            :bike="bike"
            :bag="bag"
            :place="placeOf(bag.id)"
            :picked="picked === bag.id"
            :opened="opened"
            @open="emit('open', $event)"
            @measure="emit('measure', $event)"
          />
        </div>
      </div>
      <p v-else class="max-w-prose text-sm text-soft">
        No bag on it yet: hang one on with “A bag”, and what {{ riders.map(({ name }) => name).join(' and ') }}
        {{ riders.length > 1 ? 'carry' : 'carries' }} is packed into it. Or begin with what many hang on:
        <span class="mt-2 flex flex-wrap gap-2 print:hidden">
          <button
            v-for="{ name, bags } in sets"
            :key="name"
            type="button"
            class="button"
            @click="edits.addBags(bike, bags)"
          >
            {{ name }}
          </button>
        </span>
      </p>
    </div>
    <AddBagDialog v-if="isAdding" :bike="bike" @close="isAdding = false" @add="edits.addBags(bike, [$event])" />
  </section>
</template>
