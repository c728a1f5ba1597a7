import { watchDebounced } from '@vueuse/core'
import type { useKitStore } from './kit'

/**
 * While somebody looks, all is weighed anew whenever failures or the kit are others; what it costs is no matter here.
 *
 * @param find with a kit
 * @param nothing where there cannot be a kit
 */
export function whenKitMoves(kit: ReturnType<typeof useKitStore>, find: () => void, nothing: () => void): void {
  watchDebounced(
    () => {
      const { chosen } = kit
      return chosen?.kit
        ? `${chosen.built.number} ${chosen.kit.counts.join()} ${chosen.built.ledger.gramsPerHour}`
        : chosen?.problems.join(' ')
    },
    (asks) => {
      if (!asks) return
      if (kit.chosen?.kit) find()
      else nothing()
    },
    { immediate: true, debounce: 400 },
  )
}
