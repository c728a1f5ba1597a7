import { createGlobalState, useLocalStorage, usePreferredDark } from '@vueuse/core'
import type { UnitSystem } from '#core/units'
import { climbInWords, gramsInWords, kmInWords, stretchInWords } from '#wording'
import { computed } from 'vue'

/** How this person likes to look at things, kept on this machine. */
export const useView = createGlobalState(() => {
  const system = useLocalStorage<UnitSystem>('rag-tin.units', 'metric')
  const chosen = useLocalStorage<'day' | 'night' | 'system'>('rag-tin.scheme', 'system')
  const prefersDark = usePreferredDark()
  const scheme = computed(() => (chosen.value === 'system' ? (prefersDark.value ? 'night' : 'day') : chosen.value))
  return {
    system,
    scheme,
    toggleScheme: () => (chosen.value = scheme.value === 'day' ? 'night' : 'day'),
    toggleUnits: () => (system.value = system.value === 'metric' ? 'imperial' : 'metric'),
    grams: (value: number) => gramsInWords(value, system.value),
    km: (value: number) => kmInWords(value, system.value),
    stretch: (fromKm: number, toKm: number) => stretchInWords(fromKm, toKm, system.value),
    climb: (value: number) => climbInWords(value, system.value),
  }
})
