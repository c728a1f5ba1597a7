<script setup lang="ts">
import type { Stop } from '#core/supply'
import { catalogue } from '#catalogue'
import { hoursInWords, shutChoiceInWords } from '#wording'
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed, shallowRef, watch } from 'vue'
import { useKitStore, type WeighedOption } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** What to do where something is shut when one comes by, and what each way does for the kit. */
const props = defineProps<{ stop: Stop }>()
const store = useTripStore()
const kit = useKitStore()
const { grams } = useView()

const options = shallowRef<readonly WeighedOption[]>()
watch(
  () => [props.stop.id, kit.chosen] as const,
  async ([stopId]) => {
    const found = await kit.shutOptionsAt(stopId)
    if (found && props.stop.id === stopId) options.value = found
  },
  { immediate: true },
)
const visits = computed(() => kit.analysis?.ride?.stops.find(({ stop }) => stop === props.stop.id)?.visits ?? [])
const isAnythingShut = computed(() => visits.value.some(({ found }) => found === 'shut'))
const made = computed(() => options.value?.find(({ isMade }) => isMade))
const nameOfKind = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind
const words = ({ choice }: WeighedOption) => shutChoiceInWords(choice, nameOfKind)

/** Less than this is no difference that anybody would plan by. */
const [leastG, leastH] = [1, 0.01]
function worth(option: WeighedOption): string {
  if (!made.value || option === made.value) return `as it is: a kit of ${grams(option.massG)}`
  const lighterG = made.value.massG - option.massG
  const fewerH = made.value.promiseH - option.promiseH
  const days = option.days - made.value.days
  const said = [
    ...(Math.abs(lighterG) < leastG ? [] : [`${grams(Math.abs(lighterG))} ${lighterG > 0 ? 'less' : 'more'} to carry`]),
    ...(Math.abs(fewerH) < leastH ? [] : [`${hoursInWords(Math.abs(fewerH))} ${fewerH > 0 ? 'fewer' : 'more'} lost`]),
    ...(days === 0
      ? []
      : [`${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'longer' : 'shorter'}`]),
  ]
  return said.length > 0 ? said.join(', ') : 'the same kit, and the same hours'
}
function choose(option: WeighedOption) {
  if (!option.isMade) store.edit(`${words(option)}, ${props.stop.name}`, option.parts)
}
</script>

<template>
  <RadioGroup
    v-if="options?.length"
    :model-value="made"
    class="rounded border border-line bg-paper p-3 text-sm"
    @update:model-value="choose"
  >
    <RadioGroupLabel as="p" class="font-semibold">Something here is shut when you come by</RadioGroupLabel>
    <div class="mt-2 grid gap-1.5">
      <RadioGroupOption v-for="option in options" :key="words(option)" v-slot="{ checked, active }" :value="option">
        <div
          class="flex min-h-9 cursor-pointer flex-wrap items-center gap-x-3 rounded border px-2.5 py-1 max-md:min-h-11"
          :class="[
            checked ? 'border-petrol bg-petrol-wash' : 'border-line',
            active ? 'outline-2 outline-offset-2 outline-petrol' : '',
          ]"
        >
          <span class="min-w-44 font-medium first-letter:uppercase">{{ words(option) }}</span>
          <span class="figures text-soft">{{ worth(option) }}</span>
        </div>
      </RadioGroupOption>
    </div>
    <p class="mt-2 text-xs text-soft">
      One waits only for what has been used up or has failed by then, and that wait is not counted among the hours lost.
      Opening hours are as they were typed in: ask there.
    </p>
  </RadioGroup>
  <!-- About as high as what comes, so that nothing jumps then. -->
  <p v-else-if="!options && isAnythingShut" class="min-h-60 rounded border border-line p-3 text-sm text-soft">
    Weighing what waiting here is worth …
  </p>
</template>
