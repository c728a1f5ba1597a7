import { defineStore, storeToRefs } from 'pinia'
import type { Thing } from '#core/bench'
import { hoursWithin, type Verdict } from '#core/choose'
import type { ClaimNote } from '#core/trip-ledger'
import { computed } from 'vue'
import { useKitStore } from './kit'
import { useSelection } from './selection'
import { useTripStore } from './trip'

/** A thing on the bench with its verdict, as a row to look at. */
export interface WeighedThing {
  readonly thing: Thing
  readonly verdict: Verdict
  /** Hours at risk, in the chosen gap only where one is chosen. */
  readonly hours: number
}

/** The things on the bench with their verdicts: those that come along first, each group by hours at risk. */
export const useVerdicts = () => storeToRefs(useVerdictStore())

const useVerdictStore = defineStore('verdicts', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const selection = useSelection()

  const notes = computed(
    () => new Map<string, ClaimNote>((kit.analysis?.built?.notes ?? []).map((note) => [note.claim, note])),
  )
  const gap = computed(() => (selection.classId ? selection.gap : undefined))
  const weighed = computed<WeighedThing[]>(() => {
    const verdicts = new Map(kit.analysis?.kit?.verdicts.map((verdict) => [verdict.item, verdict]))
    return (store.trip?.bench ?? [])
      .flatMap((thing) => {
        const verdict = verdicts.get(thing.id)
        return verdict ? [{ thing, verdict, hours: hoursWithin(verdict, notes.value, gap.value) }] : []
      })
      .sort((a, b) => b.hours - a.hours)
  })
  return {
    notes,
    gap,
    taken: computed(() => weighed.value.filter(({ verdict }) => verdict.verdict === 'take')),
    left: computed(() => weighed.value.filter(({ verdict }) => verdict.verdict === 'leave')),
  }
})
