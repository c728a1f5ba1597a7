import { ref } from 'vue'
import { linesOf } from '../http/api'

/** Something that is asked of the server: whether it is under way, and what was wrong with it. */
export function useRequest() {
  const busy = ref(false)
  const lines = ref<string[]>([])

  /** @returns whether it was done */
  async function attempt(work: () => Promise<void>): Promise<boolean> {
    busy.value = true
    lines.value = []
    try {
      await work()
      return true
    } catch (error) {
      lines.value = linesOf(error)
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, lines, attempt }
}
