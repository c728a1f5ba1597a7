import { defineStore, storeToRefs } from 'pinia'
import type { Bike, BikePart, Fastener } from '#core/bike'
import type { FastenerView } from '#core/fit'
import { coverageWords } from '#wording'
import { computed } from 'vue'
import { useKitStore } from './kit'

export type CoverageState = keyof typeof coverageWords

/** From the one that needs most care. */
const order: CoverageState[] = ['uncovered', 'borrowed', 'awkward', 'waits', 'turned']

/** How every fastener of the crew stands with what lies on the bench. */
export function useCoverage() {
  const store = useCoverageStore()
  const { fitOf, coverageOf, coverageOfPart } = store
  return { ...storeToRefs(store), fitOf, coverageOf, coverageOfPart }
}

const useCoverageStore = defineStore('coverage', () => {
  const kit = useKitStore()
  const fits = computed(
    () => new Map((kit.analysis?.fit.fasteners ?? []).map((fit) => [`${fit.bike}/${fit.fastener}`, fit])),
  )
  const fitOf = (bike: Pick<Bike, 'id'>, fastener: Pick<Fastener, 'id'>) => fits.value.get(`${bike.id}/${fastener.id}`)
  const coverageOf = (fit: FastenerView | undefined): CoverageState =>
    fit?.coverage === 'turned' && fit.best?.verdict === 'awkward' ? 'awkward' : (fit?.coverage ?? 'turned')
  /** How a part stands: as the fastener on it that needs most care; undefined where it has none. */
  function coverageOfPart(bike: Bike, part: BikePart): CoverageState | undefined {
    const states = bike.fasteners
      .filter((fastener) => fastener.part === part)
      .map((fastener) => coverageOf(fitOf(bike, fastener)))
    return order.find((state) => states.includes(state))
  }
  return { fits, fitOf, coverageOf, coverageOfPart }
})
