import { defineStore, storeToRefs } from 'pinia'
import type { Thing } from '#core/bench'
import { shareWithin, stakesOf, type EventNote, type StakeOnLeg } from '#core/trip-ledger'
import type { Verdict } from '#core/verdicts'
import type { Gap } from '#core/road'
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

/** A kind of failure of the ledger that the kit was chosen for. */
export interface Failure {
  readonly note: EventNote
  /** Where its hours are at stake. */
  readonly stakes: readonly StakeOnLeg[]
  /** The share of them that lies in the chosen gap. */
  readonly share: number
}

/** The things on the bench with their verdicts: those that come along first, each group by hours at risk. */
export const useVerdicts = () => {
  const store = useVerdictStore()
  return { ...storeToRefs(store), worstGap: store.worstGap, showFailure: store.showFailure }
}

const useVerdictStore = defineStore('verdicts', () => {
  const store = useTripStore()
  const kit = useKitStore()
  const selection = useSelection()

  const gap = computed(() => (selection.classId ? selection.gap : undefined))
  const failures = computed(() => {
    const built = kit.weighed?.built
    return new Map<string, Failure>(
      (built?.ledger.events ?? []).flatMap((event, i) => {
        const note = built?.notes[i]
        if (!built || !note) return []
        const stakes = stakesOf(event, built)
        return [[event.id, { note, stakes, share: shareWithin(stakes, gap.value) }]]
      }),
    )
  })
  /** The class that settles a failure first, and of its gaps the one in which most is at stake. */
  function worstGap({ note, stakes }: Failure): { classId: string; gap: Gap | undefined } {
    const classId = note.settledBy[0] ?? ''
    const [worst] = (kit.analysis?.view?.gaps[classId] ?? [])
      .map((each) => ({ gap: each, share: shareWithin(stakes, each) }))
      .sort((a, b) => b.share - a.share)
    return { classId, gap: worst?.gap }
  }
  function showFailure(event: string) {
    const failure = failures.value.get(event)
    if (!failure) return
    const { classId, gap: worst } = worstGap(failure)
    selection.showClass(classId, worst)
  }
  const hoursOf = ({ answers, lostH }: Verdict) =>
    gap.value
      ? answers.reduce((sum, answer) => sum + answer.lostH * (failures.value.get(answer.event)?.share ?? 0), 0)
      : lostH
  const weighed = computed<WeighedThing[]>(() => {
    const verdicts = new Map(kit.kit?.verdicts.map((verdict) => [verdict.item, verdict]))
    return (store.trip?.bench ?? [])
      .flatMap((thing) => {
        const verdict = verdicts.get(thing.id)
        return verdict ? [{ thing, verdict, hours: Math.max(0, hoursOf(verdict)) }] : []
      })
      .sort((a, b) => b.hours - a.hours)
  })
  return {
    failures,
    gap,
    worstGap,
    showFailure,
    taken: computed(() => weighed.value.filter(({ verdict }) => verdict.verdict === 'take')),
    left: computed(() => weighed.value.filter(({ verdict }) => verdict.verdict === 'leave')),
  }
})
