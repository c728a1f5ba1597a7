import { catalogue } from '#catalogue'
import { defined } from '#core/validation'
import { ref } from 'vue'
import { useKitStore } from '../stores/kit'
import { useBench } from './useBench'
import { useTripShed } from './useTripShed'

/** Laying a first bench from the bikes, the road and the hands of a trip: from the shed first, then from the catalogue. */
export function useFirstBench() {
  const kit = useKitStore()
  const { lay } = useBench()
  const { laidForBikes } = useTripShed()
  const starting = ref(false)
  const startFault = ref('')

  async function startFromBikes() {
    starting.value = true
    startFault.value = ''
    try {
      const owned = await laidForBikes()
      const pieces = await kit.startOfBench(owned)
      lay(
        pieces.map(({ id, count }) => ({ item: defined(catalogue.items.find((item) => item.id === id)), count })),
        'start from the bikes',
        owned,
      )
    } catch (error) {
      startFault.value = error instanceof Error ? error.message : String(error)
    }
    starting.value = false
  }
  return { starting, startFault, startFromBikes }
}
