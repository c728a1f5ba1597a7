import { ref, watch } from 'vue'
import { nextTask } from '../timing/next-task'

/**
 * Counts up from when something is ready, one task of the browser's at a time: a long page is built section by section,
 * the first screenful first, and never keeps a finger waiting.
 */
export function useStaggered(ready: () => boolean, most: number) {
  const count = ref(0)
  let counting = false
  watch(
    ready,
    async (isReady) => {
      if (!isReady || counting) return
      counting = true
      while (count.value < most) {
        await nextTask()
        count.value++
      }
    },
    { immediate: true },
  )
  return count
}
