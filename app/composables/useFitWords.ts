import type { Fastener } from '#core/bike'
import type { FastenerView } from '#core/fit'
import { fastenerFitInWords } from '#wording'
import { useTripStore } from '../stores/trip'
import { useView } from '../stores/view'

/** How a fastener fares with the bench, in a line. */
export function useFitWords() {
  const store = useTripStore()
  const { system } = useView()
  const nameOf = (thing: string) => store.trip?.bench.find(({ id }) => id === thing)?.name ?? thing
  const words = (fit: FastenerView, fastener: Fastener) => fastenerFitInWords(fit, fastener, nameOf, system.value)
  return { words, nameOf }
}
