<script setup lang="ts">
import { catalogue } from '#catalogue'
import { doublings, type Flip } from '#core/flips'
import type { Verdict } from '#core/verdicts'
import { flipInWords } from '#wording'
import { computed, ref, shallowRef, watch } from 'vue'
import { useKitStore } from '../../stores/kit'
import { useTripStore } from '../../stores/trip'
import { useView } from '../../stores/view'

/** What would change a verdict: its price and its mass at once, everything else when somebody asks, the nearest first. */
const props = defineProps<{ verdict: Verdict }>()
const store = useTripStore()
const kit = useKitStore()
const { system } = useView()

const isTaken = computed(() => props.verdict.verdict === 'take')
const atOnce = computed((): Flip[] => {
  const { flip, massG } = props.verdict
  const dial = kit.chosen?.built.ledger.gramsPerHour ?? null
  return [
    ...(flip.gramsPerHour !== null && dial !== null
      ? [{ kind: 'dial' as const, gramsPerHour: flip.gramsPerHour, away: doublings(dial, flip.gramsPerHour) }]
      : []),
    ...(flip.massG !== null ? [{ kind: 'mass' as const, massG: flip.massG, away: doublings(massG, flip.massG) }] : []),
  ]
})
const found = shallowRef<readonly Flip[]>()
const isBusy = ref(false)
let asked = 0
// Of another thing, or another kit, all is to be asked anew.
watch(
  () => [props.verdict, kit.chosen],
  () => {
    asked++
    found.value = undefined
    isBusy.value = false
  },
)
async function ask() {
  const mine = ++asked
  found.value = []
  isBusy.value = true
  await kit.findFlips(store.openTrip, props.verdict, (flip) => {
    if (mine === asked) found.value = [...(found.value ?? []), flip]
  })
  if (mine === asked) isBusy.value = false
}

const lines = computed(() =>
  [...(found.value?.length ? found.value : atOnce.value)]
    .sort((a, b) => a.away - b.away)
    .map((flip) => flipInWords(flip, isTaken.value, store.openTrip, catalogue, system.value)),
)
</script>

<template>
  <div class="mt-3 text-sm">
    <p class="text-soft">With the rest of the kit as it is, it {{ isTaken ? 'stays at home' : 'comes along' }} where</p>
    <ul
      class="mt-1 list-disc pl-5"
      :aria-label="`What would change ${isTaken ? 'that it comes along' : 'that it stays at home'}`"
    >
      <li v-for="line in lines" :key="line" class="wrap-anywhere">{{ line }}</li>
    </ul>
    <button v-if="!found" type="button" class="mt-1 underline" @click="ask">What else would?</button>
    <p v-else role="status" class="mt-1 text-xs text-soft">
      {{
        isBusy
          ? 'Trying what else would …'
          : 'The nearest first. Tried: how often it is needed, every rider’s hands, and every place; each by itself.'
      }}
    </p>
  </div>
</template>
