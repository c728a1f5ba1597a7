import { createGlobalState, useLocalStorage, usePreferredDark } from '@vueuse/core'
import type { Stop } from '#core/supply'
import { KM_PER_MILE, type UnitSystem } from '#core/units'
import { climbInWords, climbRateInWords, gramsInWords, handfulG, kmInWords, massWord, stretchInWords } from '#wording'
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
    /** A press of an arrow key moves by so much along a road. */
    pressKm: computed(() => (system.value === 'imperial' ? KM_PER_MILE : 1)),
    massWord: computed(() => massWord(system.value)),
    handfulG: computed(() => handfulG(system.value)),
    km: (value: number) => kmInWords(value, system.value),
    shopInWords: ({ name, roadKm }: Pick<Stop, 'name' | 'roadKm'>) =>
      `bought at ${name}, ${kmInWords(roadKm, system.value)}`,
    stretch: (fromKm: number, toKm: number) => stretchInWords(fromKm, toKm, system.value),
    climb: (value: number) => climbInWords(value, system.value),
    climbRate: (metresPerKm: number) => climbRateInWords(metresPerKm, system.value),
  }
})
