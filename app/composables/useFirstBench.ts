import { catalogue } from '#catalogue'
import { defined } from '#core/validation'
import { ref } from 'vue'
import { useKitStore } from '../stores/kit'
import { useBench } from './useBench'

/** Laying a first bench from the bikes, the road and the hands of a trip. */
export function useFirstBench() {
  const kit = useKitStore()
  const { lay } = useBench()
  const starting = ref(false)
  const startFault = ref('')

  async function startFromBikes() {
    starting.value = true
    startFault.value = ''
    try {
      const pieces = await kit.startOfBench()
      lay(
        pieces.map(({ id, count }) => ({ item: defined(catalogue.items.find((item) => item.id === id)), count })),
        'start from the bikes',
      )
    } catch (error) {
      startFault.value = error instanceof Error ? error.message : String(error)
    }
    starting.value = false
  }
  return { starting, startFault, startFromBikes }
}
