import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { wordsForClimb, wordsForGrams, wordsForKm, wordsForStretch, type UnitSystem } from '~~/core/units'

/** How this person likes to look at things, kept on this machine. */
export function useView() {
  const system = useLocalStorage<UnitSystem>('rag-tin.units', 'metric')
  const chosen = useLocalStorage<'day' | 'night' | 'system'>('rag-tin.scheme', 'system')
  const prefersDark = usePreferredDark()
  const scheme = computed(() => (chosen.value === 'system' ? (prefersDark.value ? 'night' : 'day') : chosen.value))
  return {
    system,
    scheme,
    toggleScheme: () => (chosen.value = scheme.value === 'day' ? 'night' : 'day'),
    toggleUnits: () => (system.value = system.value === 'metric' ? 'imperial' : 'metric'),
    grams: (value: number) => wordsForGrams(value, system.value),
    km: (value: number) => wordsForKm(value, system.value),
    stretch: (fromKm: number, toKm: number) => wordsForStretch(fromKm, toKm, system.value),
    climb: (value: number) => wordsForClimb(value, system.value),
  }
}
