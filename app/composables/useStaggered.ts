import { ref, watch } from 'vue'
import { nextTask } from '../timing/next-task'

/**
 * Counts turns from when something is ready, up to so many: a long page is
 * built one room a turn, the first screenful first, and never keeps a finger waiting.
 */
export function useStaggered(ready: () => boolean, most: number) {
  const turn = ref(0)
  let counting = false
  watch(
    ready,
    async (isReady) => {
      if (!isReady || counting) return
      counting = true
      while (turn.value < most) {
        await nextTask()
        turn.value++
      }
    },
    { immediate: true },
  )
  return turn
}
