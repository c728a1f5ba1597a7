import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** A file dropped anywhere on the page; tells whether one hangs over it. */
export function useFileDrop(take: (file: File) => void) {
  const over = ref(false)
  const holdsFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false
  useEventListener('dragover', (event: DragEvent) => {
    if (!holdsFile(event)) return
    event.preventDefault()
    over.value = true
  })
  useEventListener('dragleave', (event: DragEvent) => {
    if (event.relatedTarget === null) over.value = false
  })
  useEventListener('drop', (event: DragEvent) => {
    if (!holdsFile(event)) return
    event.preventDefault()
    over.value = false
    const file = event.dataTransfer?.files[0]
    if (file) take(file)
  })
  return over
}
