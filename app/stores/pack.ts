import type { MoveCost, PackPlan } from '#core/pack'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useKitStore } from './kit'
import { useSplit } from './split'
import { useTripStore } from './trip'

/** Where everything that the riders carry is packed. */
export const usePack = defineStore('pack', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const split = useSplit()
  const plans = shallowRef<readonly PackPlan[]>()
  const failure = ref('')
  let asked = 0

  /** All that packing depends on: who carries what, the bags, and what things take up; nothing while the kit is being split. */
  const basis = computed<string | undefined>(() => {
    if (!store.trip || split.isBusy || !split.plan) return undefined
    const { bikes, bench, dials } = store.trip
    return JSON.stringify([
      split.plan.riders.map(({ id, counts }) => [id, counts]),
      bikes.map(({ id, storage, racks, bottleMounts, suspension }) => [id, storage, racks, bottleMounts, suspension]),
      bench.map(({ massG, volumeMl, longestMm, handling, from, packedIn }) => [
        massG,
        volumeMl,
        longestMm,
        handling,
        from,
        packedIn,
      ]),
      dials.planning,
    ])
  })
  /** What the plans were made of. */
  const madeOf = ref<string>()
  const isBusy = computed(() => split.isBusy || (basis.value !== madeOf.value && failure.value === ''))

  /** While somebody looks, everything is packed anew whenever any of that is another. */
  function watchKit(): void {
    split.watchKit()
    watchDebounced(basis, () => void find(), { immediate: true, debounce: 100 })
  }

  async function find(): Promise<void> {
    const mine = ++asked
    const begun = basis.value
    failure.value = ''
    if (begun === undefined) {
      if (!split.isBusy) plans.value = madeOf.value = undefined
      return
    }
    try {
      const found = await kit.packAll(store.openTrip)
      if (mine !== asked) return
      plans.value = found
      madeOf.value = begun
    } catch (error) {
      if (mine === asked) failure.value = error instanceof Error ? error.message : String(error)
    }
  }

  /** What each other place on its bike would cost for a piece; nothing while all is being packed anew. */
  async function movesFrom(bikeId: string, thing: number, from: string | null): Promise<MoveCost[] | undefined> {
    if (isBusy.value || !plans.value) return undefined
    const mine = asked
    const costs = await kit.movesFrom(bikeId, thing, from)
    return mine === asked ? costs : undefined
  }

  return { plans, isBusy, failure, watchKit, movesFrom }
})
