import type { Shift, ShiftCosts, SplitPlan } from '#core/split'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useKitStore } from './kit'
import { useTripStore } from './trip'

/** Who carries what of the kit as it is. */
export const useSplit = defineStore('split', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const plan = shallowRef<SplitPlan>()
  const isBusy = ref(true)
  /** So many changes the search has made so far. */
  const rounds = ref(0)
  let asked = 0

  /** All that a split depends on: the kit and its ledger, and what riders wish, can and keep. */
  const basis = computed(() => {
    const { chosen } = kit
    if (!store.trip || !chosen?.kit) return undefined
    const { crew, bench, dials } = store.trip
    return JSON.stringify([
      chosen.built.number,
      chosen.built.ledger.gramsPerHour,
      chosen.kit.counts,
      dials.planning,
      dials.budgetG,
      dials.budgetMoney,
      crew.map(({ id, bikeId, share, carriesMostG, carriesMostMl }) => [
        id,
        bikeId,
        share,
        carriesMostG,
        carriesMostMl,
      ]),
      bench.map(({ id, massG, volumeMl, count, pin, carriedBy }) => [id, massG, volumeMl, count, pin, carriedBy]),
    ])
  })

  /** While somebody looks, the kit is split anew whenever any of that is another. */
  function watchKit(): void {
    plan.value = undefined
    isBusy.value = true
    watchDebounced(basis, () => void find(), { immediate: true, debounce: 150 })
  }

  async function find(): Promise<void> {
    const mine = ++asked
    if (basis.value === undefined) {
      plan.value = undefined
      isBusy.value = kit.busy || kit.weighing
      return
    }
    isBusy.value = true
    rounds.value = 0
    const found = await kit.splitAmong(store.openTrip, () => {
      if (mine === asked) rounds.value++
    })
    if (mine !== asked) return
    plan.value = found
    isBusy.value = false
  }

  /** What each of some changes would cost; nothing while the kit is being split anew. */
  async function costsOf(changes: readonly (readonly Shift[])[]): Promise<readonly ShiftCosts[] | undefined> {
    if (isBusy.value || !plan.value) return undefined
    const mine = asked
    const costs = await kit.costsOfShifts(changes)
    return mine === asked ? costs : undefined
  }

  return { plan, isBusy, rounds, watchKit, costsOf }
})
