import { catalogue } from '#catalogue'
import { carriedOut, isPlanned, takenBack, type Deed } from '#core/ways'
import { deedInWords } from '#wording'
import { useKitStore } from '../stores/kit'
import { useTripStore } from '../stores/trip'

/** What can be done about a risk without carrying anything: each a step that can be taken back. */
export function useDeeds() {
  const store = useTripStore()
  const kit = useKitStore()
  const newId = () => crypto.randomUUID().slice(0, 8)

  const inWords = (deed: Deed) => deedInWords(deed, store.openTrip, catalogue)
  const isDone = (deed: Deed) => isPlanned(store.openTrip, deed)
  function carryOut(deed: Deed) {
    const lengthKm = kit.analysis?.lengthKm ?? 0
    store.edit(inWords(deed), carriedOut(store.openTrip, deed, { lengthKm, newId }))
  }
  function takeBack(deed: Deed) {
    store.edit(`not: ${inWords(deed)}`, takenBack(store.openTrip, deed))
  }
  return { inWords, isDone, carryOut, takeBack }
}
