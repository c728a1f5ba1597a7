import type { Shift, ShiftCosts, SplitPlan } from '#core/split'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { useKitStore, type Chosen } from './kit'
import { useTripStore } from './trip'

/** Who carries what of the kit as it is. */
export const useSplit = defineStore('split', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const plan = shallowRef<SplitPlan>()
  const failure = ref('')
  /** So many changes the search has made so far. */
  const rounds = ref(0)
  /** Whether the plan is one to begin with, while the best is being looked for. */
  const isSoFar = ref(false)
  let asked = 0

  /** All that a split depends on: the kit and its ledger, and what riders wish, can and keep; nothing while there is no kit. */
  function basisOf({ built, kit: chosen }: Chosen): string | undefined {
    if (!store.trip || !chosen) return undefined
    const { crew, bench, dials } = store.trip
    return JSON.stringify([
      built.number,
      built.ledger.gramsPerHour,
      chosen.counts,
      dials.planning,
      dials.budgetG,
      dials.budgetMoney,
      crew.map(({ id, bikeId, joins, leaves, share, carriesMostG, carriesMostMl }) => [
        id,
        bikeId,
        joins,
        leaves,
        share,
        carriesMostG,
        carriesMostMl,
      ]),
      bench.map(({ id, massG, volumeMl, count, pin, carriedBy }) => [id, massG, volumeMl, count, pin, carriedBy]),
    ])
  }
  /** What the plan was made of. */
  const madeOf = ref<string>()
  /** While a change is on its way to the kit, what was before it. */
  const basis = computed<string | undefined>((before) => {
    if (kit.chosenForNow) return basisOf(kit.chosenForNow)
    return kit.busy || kit.weighing ? before : undefined
  })
  const isBusy = computed(
    () => kit.busy || (kit.weighing && !kit.chosenForNow) || (basis.value !== madeOf.value && failure.value === ''),
  )

  let watching = 0

  /** While somebody looks, the kit is split anew whenever any of that is another. */
  function watchKit(): void {
    if (watching++ === 0) plan.value = madeOf.value = undefined
    onScopeDispose(() => watching--)
    watchDebounced(basis, () => basis.value !== madeOf.value && void find(), { immediate: true, debounce: 150 })
  }

  async function find(): Promise<void> {
    const mine = ++asked
    const begun = basis.value
    failure.value = ''
    rounds.value = 0
    if (begun === undefined) {
      plan.value = madeOf.value = undefined
      isSoFar.value = false
      return
    }
    try {
      const onRound = () => {
        if (mine === asked) rounds.value++
      }
      const onSoFar = (soFar: SplitPlan) => {
        if (mine !== asked) return
        plan.value = soFar
        isSoFar.value = true
      }
      // Where there is a plan already, it stands until the next one is found.
      const found = await kit.splitAmong(store.openTrip, onRound, plan.value ? undefined : onSoFar)
      if (mine !== asked) return
      plan.value = found
      isSoFar.value = false
      madeOf.value = begun
    } catch (error) {
      if (mine === asked) failure.value = error instanceof Error ? error.message : String(error)
    }
  }

  /** What each of some changes would cost; nothing while the kit is being split anew. */
  async function costsOf(changes: readonly (readonly Shift[])[]): Promise<readonly ShiftCosts[] | undefined> {
    if (isBusy.value || !plan.value) return undefined
    const mine = asked
    const costs = await kit.costsOfShifts(changes)
    return mine === asked ? costs : undefined
  }

  return { plan, isSoFar, isBusy, failure, rounds, watchKit, costsOf }
})
