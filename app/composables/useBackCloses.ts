import { onUnmounted, watch } from 'vue'

/** What lies open over the stage, the last on top: each is closed, or stays because it must be answered. */
const open: (() => void)[] = []

/** Closes what lies on top. @returns whether anything did */
export function closeTop(): boolean {
  open.at(-1)?.()
  return open.length > 0
}

/** What is open over a stage is closed by the browser's Back, which then leaves the stage alone. */
export function useBackCloses(isOpen: () => boolean, close: () => void): void {
  const put = () => {
    const at = open.indexOf(close)
    if (at >= 0) open.splice(at, 1)
  }
  watch(
    isOpen,
    (opened) => {
      put()
      if (opened) open.push(close)
    },
    { immediate: true },
  )
  onUnmounted(put)
}
