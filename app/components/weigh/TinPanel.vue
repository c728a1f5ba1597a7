<script setup lang="ts">
import { besideTheTin, packedAs, packedOf, tinG, type Pieces } from '#core/shed'
import { computed } from 'vue'
import { useTripShed } from '../../composables/useTripShed'
import { useKitStore } from '../../stores/kit'
import { useShed } from '../../stores/shed'
import { useTripStore } from '../../stores/trip'
import { useVerdicts } from '../../stores/verdicts'
import { useView } from '../../stores/view'

/** The tin that stays packed from trip to trip, and what this road adds to it or lets stay at home. */
const store = useTripStore()
const kit = useKitStore()
const shed = useShed()
const { things } = shed
const { taken } = useVerdicts()
const { lay } = useTripShed()
const { grams } = useView()

const carried = computed(() => Object.fromEntries(taken.value.map(({ thing, verdict }) => [thing.id, verdict.n])))
const beside = computed(() => besideTheTin(store.openTrip.bench, things.value, carried.value))
const massG = computed(() => tinG(things.value))
const isPacked = computed(() => things.value.some((owned) => packedOf(owned) > 0))
const otherwise = computed(() => packedAs(store.openTrip.bench, things.value, carried.value))
const inWords = (list: readonly Pieces[]) =>
  list.map(({ name, pieces }) => (pieces > 1 ? `${pieces} × ${name}` : name)).join(' · ')
const massOf = (list: readonly Pieces[]) => grams(list.reduce((sum, each) => sum + each.massG, 0))
const pack = () => void shed.put('pack the tin like this kit', otherwise.value)
</script>

<template>
  <section v-if="things.length && kit.kit" class="mx-4 mt-6" aria-labelledby="the-tin">
    <h2 id="the-tin" class="text-base">The tin that stays packed</h2>
    <p v-if="!isPacked" class="mt-1 max-w-prose text-xs text-soft">
      Nothing of your shed stays packed from trip to trip. Keep this kit together, and the next road says only what it
      adds and what it lets stay at home.
    </p>
    <template v-else>
      <p class="mt-1 text-sm">
        <span class="figures font-semibold">{{ grams(massG) }}</span> stay packed from trip to trip.
        <template v-if="!beside.adds.length && !beside.spares.length && !beside.unweighed.length"
          >This road asks for just that.</template
        >
      </p>
      <dl class="mt-1 space-y-1 text-sm">
        <div v-if="beside.adds.length">
          <dt class="inline text-soft">This road adds {{ massOf(beside.adds) }}:</dt>
          <dd class="wrap-anywhere ml-1 inline">{{ inWords(beside.adds) }}</dd>
        </div>
        <div v-if="beside.spares.length">
          <dt class="inline text-soft">It lets {{ massOf(beside.spares) }} stay at home:</dt>
          <dd class="wrap-anywhere ml-1 inline">{{ inWords(beside.spares) }}</dd>
        </div>
        <div v-if="beside.unweighed.length">
          <dt class="inline text-soft">In the tin, and not on this bench:</dt>
          <dd class="wrap-anywhere ml-1 inline">{{ beside.unweighed.map(({ name }) => name).join(' · ') }}</dd>
        </div>
      </dl>
    </template>
    <div class="mt-2 flex flex-wrap gap-2">
      <button v-if="otherwise.length" type="button" class="button" @click="pack">
        {{ isPacked ? 'Pack the tin like this kit' : 'Keep this kit packed' }}
      </button>
      <button v-if="beside.unweighed.length" type="button" class="button" @click="lay(beside.unweighed)">
        Lay what is in it on the bench
      </button>
    </div>
  </section>
</template>
